import { BEST_RATING, RATINGS } from './review.js';

/** How many shown reviews a product has of each rating, from 1 star to 5. */
export type Histogram = readonly [number, number, number, number, number];

export const NO_REVIEWS: Histogram = [0, 0, 0, 0, 0];

/** A histogram with some reviews of a rating more, or fewer where `by` is negative. The rest is kept. */
export function counted(histogram: Histogram, rating: number, by: number): Histogram {
	return histogram.map((count, i) => (i === rating - 1 ? count + by : count)) as unknown as Histogram;
}

/** How many reviews there are. */
export function countOf(histogram: Histogram): number {
	return histogram.reduce((sum, count) => sum + count, 0);
}

/** The mean rating; null without reviews. */
export function meanOf(histogram: Histogram): number | null {
	const count = countOf(histogram);
	if (count === 0) return null;
	return histogram.reduce((sum, n, i) => sum + n * (i + 1), 0) / count;
}

/** The mean as shoppers read it, with one decimal; null without reviews. */
export function roundedMean(histogram: Histogram): number | null {
	const mean = meanOf(histogram);
	return mean === null ? null : Math.round(mean * 10) / 10;
}

/** The share of each rating, best first, 0 to 1. */
export function sharesOf(histogram: Histogram): { rating: number; count: number; share: number }[] {
	const total = countOf(histogram);
	return RATINGS.map((rating) => {
		const count = histogram[rating - 1] ?? 0;
		return { rating, count, share: total === 0 ? 0 : count / total };
	});
}

/** The quantile of the normal distribution that belongs to a confidence of 95 percent, two-sided. */
const Z_95 = 1.959963984540054;

/**
 * The score interval of a proportion: the values that `successes` out of `total` do not contradict, by default with
 * a confidence of 95 percent. Without any observation nothing is known: 0 to 1.
 *
 * E. B. Wilson, "Probable Inference, the Law of Succession, and Statistical Inference", Journal of the American
 * Statistical Association 22 (1927), 209–212.
 */
export function wilsonInterval(successes: number, total: number, z = Z_95): [low: number, high: number] {
	if (total === 0) return [0, 1];
	const share = successes / total;
	const square = (z * z) / total;
	const middle = share + square / 2;
	const reach = z * Math.sqrt((share * (1 - share)) / total + square / (4 * total));
	// At the ends both terms are equal but for rounding.
	const low = successes === 0 ? 0 : (middle - reach) / (1 + square);
	const high = successes === total ? 1 : (middle + reach) / (1 + square);
	return [low, high];
}

/**
 * A score to order products by: the rating that a product has at least, as far as so many reviews can tell, 1 to 5.
 * The mean is taken as a proportion of the way from the worst rating to the best and the low end of its Wilson
 * interval is the score; ratings between the extremes vary less than a proportion, so that it errs on the low side.
 * That use of the interval is common practice. Without reviews: 1.
 */
export function scoreOf(histogram: Histogram): number {
	const count = countOf(histogram);
	const points = histogram.reduce((sum, n, i) => sum + (n * i) / (BEST_RATING - 1), 0);
	return 1 + (BEST_RATING - 1) * wilsonInterval(points, count)[0];
}

/** What came in during a month, `2026-11`. */
export interface Month {
	month: string;
	histogram: Histogram;
}

/** Every month from the first with a review to the last, those without one too, in order. */
export function trendOf(months: readonly Month[]): Month[] {
	const found = new Map(months.map((one) => [one.month, one]));
	const [first, last] = [[...found.keys()].sort()[0], [...found.keys()].sort().at(-1)];
	const trend: Month[] = [];
	for (let month = first; month !== undefined && last !== undefined && month <= last; month = following(month))
		trend.push(found.get(month) ?? { month, histogram: NO_REVIEWS });
	return trend;
}

function following(month: string): string {
	const [year = 0, number = 0] = month.split('-').map(Number);
	return number === 12 ? `${year + 1}-01` : `${year}-${String(number + 1).padStart(2, '0')}`;
}
