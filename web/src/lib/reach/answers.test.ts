import { describe, expect, it } from 'vitest';
import { factsOfProduct } from '@anbau/core/catalog';
import { packCatalog, type Rule } from '@anbau/core/rules';
import { bareProduct } from '../../../../core/testing/bareProduct.js';
import { CatalogAnswers } from './answers.js';

const products = [
	bareProduct({ key: 'a', title: 'Ash spade', tags: ['Part: 1', 'made-to-order'], categories: ['tools/digging'] }),
	bareProduct({ key: 'b', title: 'Bench', tags: ['made to order'], categories: ['benches'] }),
	bareProduct({ key: 'c', title: 'Cold frame', tags: ['part: 2'], categories: ['tools'] })
].map((product) => ({ ...product, facts: factsOfProduct(product) }));
// The packed catalogue goes to the worker as JSON.
const packed = JSON.parse(
	JSON.stringify(
		packCatalog('1', products, [
			{ key: 'tools', title: 'Tools' },
			{ key: 'benches', title: 'Benches' }
		])
	)
) as ReturnType<typeof packCatalog>;
const { handlers } = CatalogAnswers.of(packed);
const rule: Rule = {
	any: [
		{ field: 'tag', operator: 'is', value: 'made-to-order' },
		{ field: 'product', operator: 'in', value: ['c', 'gone'] }
	]
};

describe('the catalogue’s index in the worker', () => {
	it('sums up a reach, with what is gone and what looks meant', () => {
		expect(handlers.reach({ rule, now: 0 })).toEqual({
			total: 3,
			matched: 2,
			byCategory: [{ category: 'tools', title: 'Tools', matched: 2 }],
			gone: [{ at: '/any/1', kind: 'product', name: 'gone' }],
			meant: [{ at: '/any/0', wanted: 'made-to-order', found: 'made to order', products: 1 }]
		});
	});

	it('leafs through products that show it and that do not, round and round', () => {
		const leaf = (shown: boolean, position: number, near: string | null = null) =>
			handlers.leaf({ rule, now: 0, shown, position, near });
		expect(leaf(true, 0)).toEqual({ key: 'a', title: 'Ash spade', position: 0, count: 2 });
		expect([leaf(true, 1), leaf(true, 2), leaf(true, -1)].map((one) => one?.key)).toEqual(['c', 'a', 'c']);
		expect(leaf(true, 0, 'c')?.position).toBe(1);
		expect(leaf(false, 0, 'c')?.key).toBe('b');
		expect(handlers.leaf({ rule: { any: [] }, now: 0, shown: true, position: 0, near: null })).toBeNull();
	});

	it('finds tags, categories and products, what begins so first, and the beginnings of tags', () => {
		const found = handlers.search({ text: 'TO', fields: ['tag', 'category', 'product'] });
		expect(found.map(({ field, label }) => [field, label])).toEqual([
			['tag', 'made to order'],
			['tag', 'made-to-order'],
			['category', 'Tools']
		]);
		expect(handlers.beginnings({})).toEqual([{ beginning: 'Part', products: 2 }]);
	});
});
