import fc from 'fast-check';
import { beforeAll, expect, it } from 'vitest';
import { decimalString, factsOfProduct, type Product } from '@anbau/core/catalog';
import { evaluate, type Rule } from '@anbau/core/rules';
import * as arbitrary from '../../../../../core/testing/arbitraries.js';
import { NOW } from '../../../../../core/testing/arbitraries.js';
import { chunks, testStore } from '../testing.js';
import { importCatalog } from '../work/importCatalog.js';
import { Job } from '../work/jobs.js';
import { database } from './pool.js';
import { allProducts, keysMeeting } from './products.js';
import type { Store } from './stores.js';

let store: Store;
let stored: Product[];

function ndjson(product: Product): string {
	const { price, listPrice, currency, attributes, freshness: _freshness, categories, ...rest } = product;
	const money = (minor: number | null) => (minor === null ? null : decimalString(minor, currency));
	const own = Object.entries(attributes).map(([code, value]) => [`attribute.${code}`, value] as const);
	const paths = categories.map((key) => key.split('/').join(' > '));
	return JSON.stringify({
		...rest,
		currency,
		price: money(price),
		listPrice: money(listPrice),
		categories: paths,
		...Object.fromEntries(own)
	});
}

beforeAll(async () => {
	const { store: made, actor } = await testStore();
	store = made;
	const products =
		fc.sample(fc.tuple(...Array.from({ length: 60 }, (_, i) => arbitrary.product(`p${i}`))), {
			numRuns: 1,
			seed: 42
		})[0] ?? [];
	const result = await importCatalog(
		store,
		actor,
		chunks(products.map(ndjson).join('\n')),
		'ndjson',
		'upsert',
		new Job(null)
	);
	expect(result).toMatchObject({ inserted: 60, rejected: [] });
	stored = await allProducts(database(), store.id);
});

it('a rule as SQL finds exactly the products for which it holds', async () => {
	const facts = stored.map(factsOfProduct);
	await fc.assert(
		fc.asyncProperty(arbitrary.rule, async (rule: Rule) => {
			const expected = facts
				.filter((one) => evaluate(rule, one, NOW))
				.map((one) => one.page.key)
				.sort();
			expect((await keysMeeting(database(), store.id, rule, NOW)).sort()).toEqual(expected);
		}),
		{ numRuns: 600 }
	);
});
