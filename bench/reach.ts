import jsonLogic from 'json-logic-js';
import { Engine, type TopLevelCondition } from 'json-rules-engine';
import { factsOfProduct, type Product } from '@anbau/core/catalog';
import { CatalogIndex, packCatalog, reach, type Rule } from '@anbau/core/rules';
import { faster, time, timeAsync, type Result } from './measure.js';

const COUNT = 100_000;
const NOW = Date.parse('2026-11-24T12:00:00Z');

const tag = (value: string): Rule => ({ field: 'tag', operator: 'is', value });

/** Ten leaves of every sort that all three can say. */
const RULE: Rule = {
	all: [
		{ any: [tag('tag-1'), tag('tag-2'), tag('tag-7'), { field: 'category', operator: 'only', value: 'c3' }] },
		{ field: 'stock', operator: 'lt', value: 40 },
		{ field: 'price', operator: 'between', value: [5, 400] },
		{ field: 'availability', operator: 'is', value: 'InStock' },
		{ not: { field: 'brand', operator: 'is', value: 'brand 3' } },
		{
			any: [
				{ field: 'discount', operator: 'gte', value: 5 },
				{ field: 'sold', operator: 'gt', value: 20 }
			]
		}
	]
};

function catalogue(): Product[] {
	return Array.from({ length: COUNT }, (_, i) => ({
		key: `p${i}`,
		sku: null,
		title: `Product ${i}`,
		summary: '',
		description: '',
		price: ((i * 7919) % 50_000) + 100,
		listPrice: i % 3 === 0 ? ((i * 7919) % 50_000) + 4000 : null,
		currency: 'EUR',
		stock: (i * 31) % 90,
		availability: i % 4 === 0 ? ('OutOfStock' as const) : ('InStock' as const),
		visible: true,
		brand: `brand ${i % 11}`,
		images: [],
		tags: [`tag-${i % 9}`, `tag-${i % 23}`, `part: HM-${i}`],
		categories: [`c${i % 17}`],
		created: null,
		sold30: i % 60,
		url: null,
		attributes: {},
		freshness: null
	}));
}

const known = (value: unknown, test: unknown) => ({ and: [{ '!==': [value, null] }, test] });
const LOGIC = {
	and: [
		{
			or: [
				{ in: ['tag-1', { var: 'tags' }] },
				{ in: ['tag-2', { var: 'tags' }] },
				{ in: ['tag-7', { var: 'tags' }] },
				{ in: ['c3', { var: 'categories' }] }
			]
		},
		known({ var: 'stock' }, { '<': [{ var: 'stock' }, 40] }),
		known({ var: 'price' }, { '<=': [5, { var: 'price' }, 400] }),
		{ '===': [{ var: 'availability' }, 'InStock'] },
		{ '!': [{ '===': [{ var: 'brand' }, 'brand 3'] }] },
		{
			or: [
				known({ var: 'discount' }, { '>=': [{ var: 'discount' }, 5] }),
				known({ var: 'sold' }, { '>': [{ var: 'sold' }, 20] })
			]
		}
	]
};

const condition = (fact: string, operator: string, value: unknown) => ({ fact, operator, value });
const ENGINE: TopLevelCondition = {
	all: [
		{
			any: [
				condition('tags', 'contains', 'tag-1'),
				condition('tags', 'contains', 'tag-2'),
				condition('tags', 'contains', 'tag-7'),
				condition('categories', 'contains', 'c3')
			]
		},
		condition('stock', 'lessThan', 40),
		condition('price', 'greaterThanInclusive', 5),
		condition('price', 'lessThanInclusive', 400),
		condition('availability', 'equal', 'InStock'),
		condition('brand', 'notEqual', 'brand 3'),
		{ any: [condition('discount', 'greaterThanInclusive', 5), condition('sold', 'greaterThan', 20)] }
	]
};

/** Reach of a ten-leaf rule over 100,000 products, against two libraries that evaluate it product by product. */
export async function benchReach(): Promise<Result[]> {
	const products = catalogue();
	const facts = products.map(factsOfProduct);
	const index = new CatalogIndex(
		packCatalog(
			'1',
			products.map((product, i) => ({ ...product, facts: facts[i] ?? factsOfProduct(product) })),
			[]
		)
	);
	const matched = reach(RULE, index, NOW).count();
	for (let i = 0; i < 200; i++) reach(RULE, index, NOW);
	const ours = time(501, () => reach(RULE, index, NOW).count());
	const byLogic = () => facts.reduce((count, one) => count + (jsonLogic.apply(LOGIC as never, one) ? 1 : 0), 0);
	if (byLogic() !== matched) throw new Error('json-logic-js finds another reach');
	const logic = time(3, byLogic);
	const engine = new Engine([{ conditions: ENGINE, event: { type: 'met' } }], { allowUndefinedFacts: true });
	let met = 0;
	const rules = await timeAsync(1, async () => {
		for (const { tags, categories, stock, price, availability, brand, discount, sold } of facts) {
			const { events } = await engine.run({ tags, categories, stock, price, availability, brand, discount, sold });
			met += events.length;
		}
	});
	if (met !== matched) throw new Error(`json-rules-engine finds ${met}, we find ${matched}`);
	return [
		faster(`reach of ten leaves, ${COUNT} products, against json-logic-js`, ours, logic, 200),
		faster('the same, against json-rules-engine', ours, rules, 5000)
	];
}
