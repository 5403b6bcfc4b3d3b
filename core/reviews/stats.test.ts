import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { counted, countOf, meanOf, NO_REVIEWS, scoreOf, sharesOf, trendOf, wilsonInterval } from './stats.js';

const rating = fc.integer({ min: 1, max: 5 });
const of = (ratings: readonly number[]) => ratings.reduce((all, one) => counted(all, one, 1), NO_REVIEWS);

describe('the score interval', () => {
	// R. G. Newcombe, "Two-sided confidence intervals for the single proportion: comparison of seven methods",
	// Statistics in Medicine 17 (1998), 857–872, table I, method 3 (Wilson without continuity correction). The four
	// rows are written down from memory.
	it.each([
		[81, 263, 0.2553, 0.3662],
		[15, 148, 0.0624, 0.1605],
		[0, 20, 0, 0.1611],
		[1, 29, 0.0061, 0.1718]
	])('of %i in %i is %f to %f', (successes, total, low, high) => {
		const found = wilsonInterval(successes, total);
		expect(found[0]).toBeCloseTo(low, 4);
		expect(found[1]).toBeCloseTo(high, 4);
	});

	it('holds both roots of the equation that it solves, |p − s| = z √(p (1 − p) / n)', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 5000 }), fc.double({ min: 0, max: 1, noNaN: true }), (total, part) => {
				const successes = Math.round(part * total);
				for (const bound of wilsonInterval(successes, total, 2)) {
					const distance = Math.abs(bound - successes / total);
					expect(distance).toBeCloseTo(2 * Math.sqrt((bound * (1 - bound)) / total), 6);
				}
			})
		);
	});
});

describe('statistics of reviews', () => {
	it('are the same counted one by one as over all of them', () => {
		fc.assert(
			fc.property(fc.array(rating, { minLength: 1, maxLength: 60 }), (ratings) => {
				const histogram = of(ratings);
				expect(countOf(histogram)).toBe(ratings.length);
				expect(meanOf(histogram)).toBeCloseTo(ratings.reduce((sum, one) => sum + one, 0) / ratings.length, 10);
				expect(sharesOf(histogram).reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 10);
				const [first = 1] = ratings;
				expect(counted(counted(histogram, first, -1), first, 1)).toEqual(histogram);
			})
		);
	});

	it('score below the mean, nearer to it the more there are, and never better for a worse review', () => {
		expect(meanOf(NO_REVIEWS)).toBeNull();
		expect(scoreOf(NO_REVIEWS)).toBe(1);
		expect(scoreOf(of(Array<number>(200).fill(5)))).toBeGreaterThan(scoreOf(of([5, 5])));
		// A hundred good ones tell more than one that is perfect.
		expect(scoreOf(of([...Array<number>(95).fill(5), 3, 3, 3, 3, 3]))).toBeGreaterThan(scoreOf(of([5])));
		fc.assert(
			fc.property(fc.array(rating, { minLength: 1, maxLength: 40 }), rating, rating, (ratings, a, b) => {
				const [worse, better] = [Math.min(a, b), Math.max(a, b)];
				expect(scoreOf(of(ratings))).toBeLessThanOrEqual(meanOf(of(ratings)) ?? 0);
				expect(scoreOf(of([...ratings, worse]))).toBeLessThanOrEqual(scoreOf(of([...ratings, better])) + 1e-9);
			})
		);
	});

	it('say of every month between the first and the last what came in', () => {
		const trend = trendOf([
			{ month: '2027-01', histogram: of([5]) },
			{ month: '2026-11', histogram: of([4, 2]) }
		]);
		expect(trend.map(({ month, histogram }) => [month, countOf(histogram)])).toEqual([
			['2026-11', 2],
			['2026-12', 0],
			['2027-01', 1]
		]);
		expect(trendOf([])).toEqual([]);
	});
});
