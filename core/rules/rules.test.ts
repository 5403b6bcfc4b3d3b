import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { factsOfProduct } from '@anbau/core/catalog';
import {
	CatalogIndex,
	compileRule,
	describe as describeRule,
	emptySentence,
	evaluate,
	explainRule,
	fromSentence,
	leavesOf,
	packCatalog,
	parseRule,
	reach,
	simplify,
	smallestFlip,
	toSentence,
	type Rule
} from '@anbau/core/rules';
import * as arbitrary from '../testing/arbitraries.js';
import { bareProduct } from '../testing/bareProduct.js';
import { NOW } from '../testing/arbitraries.js';

const names = { category: () => undefined, product: () => undefined };

describe('a rule', () => {
	it('reaches by the index exactly the products for which it holds one by one', () => {
		fc.assert(
			fc.property(arbitrary.products, arbitrary.rule, (products, rule) => {
				const indexed = products.map((product) => ({ ...product, facts: factsOfProduct(product) }));
				const index = new CatalogIndex(packCatalog('1', indexed, []));
				const holds = compileRule(rule, NOW);
				expect(index.keysOf(reach(rule, index, NOW))).toEqual(
					indexed.filter(({ facts }) => holds(facts)).map(({ key }) => key)
				);
			}),
			{ numRuns: 1500 }
		);
	});

	it('survives being read, simplified, and said as a sentence', () => {
		fc.assert(
			fc.property(arbitrary.product('p1'), arbitrary.rule, (product, rule) => {
				const facts = factsOfProduct(product);
				const holds = evaluate(rule, facts, NOW);
				expect(parseRule(JSON.parse(JSON.stringify(rule)))).toEqual({ ok: true, rule: expect.anything() as unknown });
				expect(evaluate(simplify(rule), facts, NOW)).toBe(holds);
				expect(describeRule(rule, names)).toMatch(/product/);
				const sentence = toSentence(rule);
				if (sentence) expect(evaluate(fromSentence(sentence) ?? { any: [] }, facts, NOW)).toBe(holds);
			}),
			{ numRuns: 1000 }
		);
	});

	it('is turned round by the smallest set of leaves, and by no smaller one', () => {
		fc.assert(
			fc.property(arbitrary.product('p1'), arbitrary.rule, (product, rule) => {
				const facts = factsOfProduct(product);
				const { holds, leaves, flip } = explainRule(rule, facts, product, names, NOW);
				expect(holds).toBe(evaluate(rule, facts, NOW));
				fc.pre(leaves.length <= 8);
				const sizes: number[] = [];
				for (let mask = 1; mask < 1 << leaves.length; mask++) {
					const changed = new Set(leaves.filter((_, i) => mask & (1 << i)).map(({ at }) => at));
					const verdict = (at: string) => (leaves.find((one) => one.at === at)?.ok ?? false) !== changed.has(at);
					if (evaluateBy(rule, verdict) !== holds) sizes.push(changed.size);
				}
				expect(flip?.length ?? Infinity).toBe(Math.min(Infinity, ...sizes));
			}),
			{ numRuns: 400 }
		);
	});
});

/** The verdict of a rule whose leaves have the given verdicts. */
function evaluateBy(rule: Rule, verdict: (at: string) => boolean, at = ''): boolean {
	if ('field' in rule) return verdict(at);
	if ('not' in rule) return !evaluateBy(rule.not, verdict, `${at}/not`);
	if ('all' in rule) return rule.all.every((child, i) => evaluateBy(child, verdict, `${at}/all/${i}`));
	return rule.any.some((child, i) => evaluateBy(child, verdict, `${at}/any/${i}`));
}

const tag = (value: string): Rule => ({ field: 'tag', operator: 'is', value });

describe('reading a rule', () => {
	it.each([
		[{ all: [tag('oak'), { field: 'tag', operator: 'equals', value: 'x' }] }, '/all/1/operator'],
		[{ any: [{ field: 'colour', operator: 'is', value: 'red' }] }, '/any/0/field'],
		[{ not: { field: 'stock', operator: 'lt', value: 'five' } }, '/not/value'],
		[{ field: 'price', operator: 'between', value: [20, 10] }, '/value'],
		[{ field: 'attribute.size', operator: 'gt', value: '2027-02-31' }, '/value'],
		[{ field: 'tag', operator: 'is', value: ' ' }, '/value'],
		[{ field: 'tag', operator: 'is', value: 'x', note: 'y' }, ''],
		[{ all: [], any: [] }, ''],
		[{ all: 'oak' }, '/all'],
		['oak', ''],
		[null, ''],
		[{ constructor: [] }, '']
	])('%j is refused at %s', (input, at) => {
		const reading = parseRule(input);
		expect(reading.ok ? [] : reading.faults.map((fault) => fault.at)).toEqual([at]);
	});

	it('allows six groups within each other and 200 conditions, no more', () => {
		const nested = (depth: number): Rule => (depth === 0 ? tag('oak') : { not: nested(depth - 1) });
		expect(parseRule(nested(6)).ok).toBe(true);
		expect(parseRule(nested(7))).toMatchObject({ ok: false, faults: [{ at: '/not/not/not/not/not/not' }] });
		const many = (count: number) => ({ any: Array.from({ length: count }, (_, i) => tag(`t${i}`)) });
		expect(parseRule(many(200)).ok).toBe(true);
		expect(parseRule(many(201))).toMatchObject({ ok: false, faults: [{ at: '' }] });
	});
});

describe('explaining a rule', () => {
	const facts = (tags: string[], stock: number | null = null) => factsOfProduct(bareProduct({ tags, stock }));

	it('names the actual value and the tag that is probably meant', () => {
		const rule: Rule = { all: [tag('made-to-order'), { field: 'stock', operator: 'lt', value: 5 }] };
		const found = explainRule(rule, facts(['made to order'], 2), { tags: ['made to order'], brand: null }, names, NOW);
		expect(found).toMatchObject({
			holds: false,
			flip: ['/all/0'],
			nearMisses: [{ at: '/all/0', found: 'made to order' }]
		});
		expect(found.leaves.map(({ ok, text }) => [ok, text])).toEqual([
			[false, 'no tag “made-to-order”'],
			[true, 'stock is 2, asked is below 5']
		]);
	});

	it('knows that an empty group cannot be turned round', () => {
		expect(smallestFlip({ all: [] }, () => false)).toBeNull();
		expect(smallestFlip({ any: [{ any: [] }, tag('oak')] }, () => false)).toEqual(['/any/1']);
	});
});

describe('a sentence', () => {
	it('says nothing until something is chosen', () => {
		expect(fromSentence(emptySentence())).toBeNull();
		expect(toSentence(null)).toEqual({ scope: 'none' });
		expect(fromSentence({ scope: 'every' })).toEqual({ all: [] });
		expect(toSentence({ any: [] })).toEqual({ scope: 'byHand' });
	});

	it('holds any, also all, but never, and keeps every leaf', () => {
		const rule: Rule = {
			all: [
				{ any: [tag('a'), { field: 'category', operator: 'in', value: 'seeds' }] },
				{ field: 'stock', operator: 'lt', value: 5 },
				{ not: tag('c') }
			]
		};
		const sentence = toSentence(rule);
		expect(sentence).toMatchObject({
			scope: 'some',
			first: { joining: 'any' },
			also: { joining: 'all' },
			never: [tag('c')]
		});
		expect(sentence && fromSentence(sentence)).toEqual(rule);
		expect(leavesOf(rule)).toHaveLength(4);
		expect(toSentence({ any: [{ all: [tag('a'), tag('b')] }, tag('c')] })).toBeNull();
	});

	it('reads as English', () => {
		const rule: Rule = {
			all: [
				{ any: [tag('a'), { field: 'category', operator: 'in', value: 'seeds' }] },
				{ field: 'stock', operator: 'lt', value: 5 },
				{ not: tag('c') }
			]
		};
		const seeds = { category: () => 'Seeds', product: () => undefined };
		expect(describeRule(rule, seeds)).toBe(
			'products that (are tagged “a” or are in Seeds), have stock below 5, and are not tagged “c”'
		);
	});
});
