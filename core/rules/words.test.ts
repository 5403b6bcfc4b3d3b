import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factsOfPage, factsOfProduct } from '@anbau/core/catalog';
import {
	Bitset,
	CatalogIndex,
	describe as describeRule,
	describeLeaf,
	evaluate,
	goneNames,
	meantTags,
	nearMiss,
	nearMissPrefix,
	packCatalog,
	reach,
	reachByCategory,
	simplify,
	type Leaf,
	type Rule
} from '@anbau/core/rules';
import { bareProduct } from '../testing/bareProduct.js';
import { SortedColumn } from './column.js';
import { PostingsBuilder, Postings } from './postings.js';

describe('near misses', () => {
	it.each([
		['made-to-order', 'made to order', 'spacing'],
		['made-to-order', 'madetoorder', 'spacing'],
		['peat_free', 'peat-free', 'spacing'],
		['bulb', 'bulbs', 'plural'],
		['berry', 'Berries', 'plural'],
		['box', 'boxes', 'plural'],
		['oversize', 'oversise', 'spelling'],
		['greenhouse', 'grenhouses', 'plural or spelling'],
		['rose', 'rosa', 'spelling']
	])('“%s” and “%s” differ in %s', (wanted, found, difference) => {
		expect(difference).toContain(nearMiss(wanted, found) ?? 'nothing');
	});

	it.each([
		['oak', 'OAK '],
		['oak', 'ash'],
		['red', 'rod'],
		['lead: 15 days', 'lead: 10 days'],
		['part: HM-2231', 'part: HM-2232'],
		['seed', 'compost']
	])('“%s” and “%s” are the same or quite different', (wanted, found) => expect(nearMiss(wanted, found)).toBeNull());

	it('look at the beginning only, where only that was asked for', () => {
		expect(nearMissPrefix('lead:', 'lead : 15 days')).toBe('spacing');
		expect(nearMissPrefix('lead:', 'lead: 15 days')).toBeNull();
		expect(nearMissPrefix('lead:', 'leed: 15 days')).toBe('spelling');
		expect(nearMissPrefix('lead:', 'oversize')).toBeNull();
	});
});

describe('a leaf in words', () => {
	const names = {
		category: (key: string) => (key === 'seeds' ? 'Seeds' : undefined),
		product: (key: string) => (key === 'a' ? 'Ash spade' : undefined),
		attribute: () => 'material'
	};
	it.each<[Leaf, string, string]>([
		[{ field: 'tag', operator: 'is', value: 'oak' }, 'are tagged “oak”', 'are not tagged “oak”'],
		[
			{ field: 'tag', operator: 'contains', value: 'o' },
			'have a tag containing “o”',
			'do not have a tag containing “o”'
		],
		[{ field: 'category', operator: 'in', value: 'seeds' }, 'are in Seeds', 'are not in Seeds'],
		[{ field: 'category', operator: 'only', value: 'gone' }, 'are directly in gone', 'are not directly in gone'],
		[{ field: 'product', operator: 'in', value: ['a', 'b'] }, 'are Ash spade or b', 'are not Ash spade or b'],
		[{ field: 'brand', operator: 'in', value: ['X', 'Y'] }, 'are of the brand X or Y', 'are not of the brand X or Y'],
		[
			{ field: 'price', operator: 'between', value: [5, 9] },
			'are priced between 5 and 9',
			'are not priced between 5 and 9'
		],
		[
			{ field: 'discount', operator: 'gt', value: 10 },
			'are reduced by more than 10 percent',
			'are not reduced by more than 10 percent'
		],
		[
			{ field: 'age', operator: 'lt', value: 30 },
			'are in the shop for less than 30 days',
			'are not in the shop for less than 30 days'
		],
		[
			{ field: 'sold', operator: 'gte', value: 3 },
			'have at least 3 sold in 30 days',
			'do not have at least 3 sold in 30 days'
		],
		[{ field: 'availability', operator: 'is', value: 'MadeToOrder' }, 'are made to order', 'are not made to order'],
		[{ field: 'onSale', operator: 'is', value: true }, 'are on sale', 'are not on sale'],
		[{ field: 'onSale', operator: 'is', value: false }, 'are not on sale', 'are on sale'],
		[{ field: 'attribute.m', operator: 'has', value: true }, 'have material', 'do not have material'],
		[{ field: 'attribute.m', operator: 'is', value: true }, 'have material yes', 'do not have material yes'],
		[{ field: 'attribute.m', operator: 'lte', value: 3 }, 'have material at most 3', 'do not have material at most 3']
	])('%j', (leaf, plain, negated) => {
		expect([describeLeaf(leaf, names), describeLeaf(leaf, names, true)]).toEqual([plain, negated]);
	});

	it('of every and of no product', () => {
		expect(describeRule({ all: [] }, names)).toBe('every product');
		expect(describeRule({ any: [] }, names)).toContain('only where shown by hand');
		expect(describeRule({ not: { any: [{ field: 'tag', operator: 'is', value: 'a' }] } }, names)).toBe(
			'products that are not such that they are tagged “a”'
		);
	});
});

const products = [
	bareProduct({ key: 'a', tags: ['made-to-order'], categories: ['tools/digging'], brand: 'Quillmoss' }),
	bareProduct({ key: 'b', tags: ['made to order', '__proto__'], categories: ['benches'] }),
	bareProduct({ key: 'c', tags: ['constructor'], categories: ['tools'] })
].map((product) => ({ ...product, facts: factsOfProduct(product) }));
const index = new CatalogIndex(
	packCatalog('1', products, [
		{ key: 'tools', title: 'Tools' },
		{ key: 'tools/digging', title: 'Digging' }
	])
);
const tag = (value: string): Rule => ({ field: 'tag', operator: 'is', value });

describe('the catalogue’s index', () => {
	it('reports what a rule names and the catalogue lacks; the rule works on', () => {
		const rule: Rule = {
			any: [
				tag('gone'),
				tag('made-to-order'),
				{ field: 'category', operator: 'in', value: 'benches' },
				{ field: 'brand', operator: 'in', value: ['quillmoss', 'X'] },
				{ field: 'product', operator: 'in', value: ['a', 'z'] }
			]
		};
		expect(goneNames(rule, index)).toEqual([
			{ at: '/any/0', kind: 'tag', name: 'gone' },
			{ at: '/any/2', kind: 'category', name: 'benches' },
			{ at: '/any/3', kind: 'brand', name: 'X' },
			{ at: '/any/4', kind: 'product', name: 'z' }
		]);
		expect(index.keysOf(reach(rule, index, 0))).toEqual(['a', 'b']);
	});

	it('names tags that look meant on products which are not reached', () => {
		const rule = tag('made-to-order');
		expect(meantTags(rule, index, reach(rule, index, 0))).toEqual([
			{ at: '', wanted: 'made-to-order', found: 'made to order', products: 1 }
		]);
		expect(meantTags({ any: [rule, tag('made to order')] }, index, Bitset.full(3))).toEqual([]);
	});

	it('counts by category with what lies below', () => {
		expect(reachByCategory(Bitset.full(3), index)).toEqual([
			{ category: 'tools', title: 'Tools', matched: 2 },
			{ category: 'benches', title: 'benches', matched: 1 }
		]);
		expect(reachByCategory(index.setOf(['a']), index, 2).map((row) => row.category)).toEqual([
			'tools',
			'tools/digging'
		]);
	});

	it('has tags and attributes with the names of JavaScript’s own properties', () => {
		expect(index.keysOf(reach(tag('__proto__'), index, 0))).toEqual(['b']);
		expect(index.packed.spelled.tags.constructor).toBe('constructor');
		expect(reach({ field: 'attribute.constructor', operator: 'has', value: true }, index, 0).count()).toBe(0);
	});

	it('leaves product leaves false on other pages, where only page and category tell', () => {
		const page = factsOfPage({ kind: 'category', key: 'tools/digging' });
		expect(evaluate({ field: 'category', operator: 'in', value: 'tools' }, page, 0)).toBe(true);
		expect(evaluate({ field: 'page', operator: 'kind', value: 'category' }, page, 0)).toBe(true);
		for (const leaf of [
			tag('a'),
			{ field: 'stock', operator: 'gte', value: 0 },
			{ field: 'product', operator: 'in', value: ['tools/digging'] }
		] as Rule[]) {
			expect(evaluate(leaf, page, 0)).toBe(false);
			expect(evaluate({ not: leaf }, page, 0)).toBe(true);
		}
	});
});

describe('sets', () => {
	const members = fc.uniqueArray(fc.integer({ min: 0, max: 99 }));
	it('of bits are sets', () => {
		fc.assert(
			fc.property(members, members, (a, b) => {
				const [x, y] = [new Set(a), new Set(b)];
				const bits = (list: number[]) => Bitset.of(100, list);
				const sorted = (list: Iterable<number>) => [...list].sort((p, q) => p - q);
				expect([...bits(a)]).toEqual(sorted(a));
				expect([...bits(a).and(bits(b))]).toEqual(sorted(a.filter((one) => y.has(one))));
				expect([...bits(a).or(bits(b))]).toEqual(sorted(new Set([...a, ...b])));
				expect([...bits(a).andNot(bits(b))]).toEqual(sorted(a.filter((one) => !y.has(one))));
				expect(bits(a).not().count()).toBe(100 - x.size);
				expect(bits(a).count()).toBe(x.size);
			})
		);
	});

	it('of a sorted column are its runs, also over thousands', () => {
		const values = Array.from({ length: 9000 }, (_, i) => (i % 7 === 0 ? null : (i * 7919) % 1000));
		const column = new SortedColumn(values, values.length);
		fc.assert(
			fc.property(fc.integer({ min: -5, max: 1005 }), fc.integer({ min: -5, max: 1005 }), (from, beyond) => {
				const expected = values.flatMap((value, id) => (value !== null && value >= from && value < beyond ? [id] : []));
				expect([
					...column.between(
						(v) => v >= from,
						(v) => v >= beyond
					)
				]).toEqual(expected);
			}),
			{ numRuns: 40 }
		);
	});

	it('of postings are found by term, beginning and test', () => {
		const builder = new PostingsBuilder();
		for (const [id, terms] of [['lead: 1', 'oak'], ['lead: 2'], ['leading', 'oak', 'oak']].entries())
			for (const term of terms) builder.add(term, id);
		const postings = new Postings(builder.pack(), 3);
		const of = (add: (set: Bitset) => void) => {
			const set = new Bitset(3);
			add(set);
			return [...set];
		};
		expect(of((set) => postings.addTo(set, 'oak'))).toEqual([0, 2]);
		expect(of((set) => postings.addPrefixTo(set, 'lead:'))).toEqual([0, 1]);
		expect(of((set) => postings.addWhere(set, (term) => term.includes('ing')))).toEqual([2]);
		expect([postings.count('oak'), postings.count('elm')]).toEqual([2, 0]);
	});
});

describe('simplifying', () => {
	it.each<[Rule, Rule]>([
		[{ all: [{ all: [tag('a'), { all: [tag('b')] }] }, tag('a')] }, { all: [tag('a'), tag('b')] }],
		[{ any: [{ any: [tag('a')] }] }, tag('a')],
		[{ not: { not: tag('a') } }, tag('a')],
		[{ all: [tag('a'), { any: [] }] }, { any: [] }],
		[{ any: [tag('a'), { all: [] }] }, { all: [] }],
		[{ not: { all: [] } }, { any: [] }]
	])('%j', (rule, simple) => expect(simplify(rule)).toEqual(simple));
});
