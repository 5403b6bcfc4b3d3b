import { describe, expect, it } from 'vitest';
import { lackingColumns, matchColumns, NEEDED_COLUMNS } from './columns.js';
import { readReview, type ReviewRow } from './row.js';

const context = {
	now: Date.parse('2026-11-26T10:00:00Z'),
	isProduct: (key: string) => key === 'spade',
	idOf: () => 'made'
};
const good: ReviewRow = { product: 'spade', rating: '4', author: 'Ada', date: '2026-05-31', text: 'Solid.' };
const faultsOf = (change: ReviewRow) => {
	const reading = readReview({ ...good, ...change }, context);
	return reading.ok ? [] : reading.faults.map(({ column, reason }) => `${column}: ${reason}`);
};

describe('a row of reviews', () => {
	it('is read from texts and from JSON alike', () => {
		const reading = readReview({ ...good, rating: 4, verified: true, pictures: ['https://a.example/1.jpg'] }, context);
		expect(reading).toEqual({
			ok: true,
			review: {
				id: 'made',
				product: 'spade',
				rating: 4,
				title: '',
				text: 'Solid.',
				author: 'Ada',
				date: '2026-05-31T00:00:00.000Z',
				verified: true,
				pictures: ['https://a.example/1.jpg'],
				state: 'shown',
				reason: '',
				reply: ''
			}
		});
		expect(faultsOf({ verified: 'yes', state: 'Waiting', date: '2026-11-26 09:59' })).toEqual([]);
	});

	it('has a rating of whole stars', () => {
		for (const rating of ['6', '0', '4.5', 'five', '', '-3', 6, 4.5, null])
			expect(faultsOf({ rating }), String(rating)).toHaveLength(1);
		expect(faultsOf({ rating: '4.5' })).toEqual(['rating: “4.5” is not a whole number of stars from 1 to 5']);
	});

	it('has a date that has been, and one that there is', () => {
		expect(faultsOf({ date: '2026-12-24' })).toEqual(['date: “2026-12-24” is in the future']);
		for (const date of ['2026-02-30', 'yesterday', '', '31.05.2026']) expect(faultsOf({ date })).toHaveLength(1);
		expect(faultsOf({ date: '2026-11-26' })).toEqual([]);
	});

	it('says all that is wrong with it, in few words', () => {
		expect(faultsOf({ product: 'rake', author: ' ', state: 'gone', verified: 'maybe' })).toEqual([
			'product: “rake” is no product’s key',
			'author: is empty; every review has the name under which it is shown',
			'state: “gone” is not one of waiting, shown, hidden',
			'verified: “maybe” is neither yes nor no'
		]);
		expect(faultsOf({ text: 'x'.repeat(1_000_000) })).toEqual(['text: has 1000000 characters, at most 10000 are kept']);
		expect(faultsOf({ pictures: 'javascript:alert(1)' })).toHaveLength(1);
	});
});

describe('the columns of a file', () => {
	it('are matched by name, whatever others call them', () => {
		expect(matchColumns(['Product_ID', 'Stars', 'Review', 'Customer name', 'created at', 'Colour'])).toEqual([
			'product',
			'rating',
			'text',
			'author',
			'date',
			null
		]);
		// Our own names come first, and each is taken once.
		expect(matchColumns(['name', 'author', 'stars', 'rating'])).toEqual([null, 'author', null, 'rating']);
		expect(lackingColumns(matchColumns(['rating']))).toEqual(NEEDED_COLUMNS.filter((one) => one !== 'rating'));
	});
});
