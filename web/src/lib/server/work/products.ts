import { z } from 'zod';
import { readRow, type Category, type Product } from '@anbau/core/catalog';
import type { Rule } from '@anbau/core/rules';
import { writeAudit } from '../db/audit.js';
import { CatalogStage, saveCategories } from '../db/catalogImport.js';
import { tell } from '../db/notify.js';
import { database, lockStore, transaction } from '../db/pool.js';
import { allCategories, findProducts, PRODUCT_SORTS, productByKey, tagCounts } from '../db/products.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';

export const productQuerySchema = z.object({
	q: z.string().trim().max(200).default(''),
	category: z.string().max(200).optional(),
	tag: z.string().trim().min(1).max(200).optional(),
	sort: z.enum(PRODUCT_SORTS).default('title'),
	desc: z.stringbool().default(false),
	offset: z.coerce.number().int().min(0).max(10_000_000).default(0),
	limit: z.coerce.number().int().min(1).max(500).default(50)
});

/** One page of the catalogue, searched, filtered and sorted. */
export async function searchProducts(
	actor: Actor,
	parameters: URLSearchParams,
	now: number
): Promise<{ total: number; products: Product[] }> {
	const query = readBy(productQuerySchema, Object.fromEntries(parameters), 'The query');
	const all: Rule[] = [];
	if (query.category !== undefined) all.push({ field: 'category', operator: 'in', value: query.category });
	if (query.tag !== undefined) all.push({ field: 'tag', operator: 'is', value: query.tag });
	const { q: search, sort, desc: descending, offset, limit } = query;
	return findProducts(database(), actor.storeId, { search, rule: { all }, sort, descending, offset, limit }, now);
}

export async function getProduct(actor: Actor, key: string): Promise<Product> {
	const product = await productByKey(database(), actor.storeId, key);
	if (!product) throw new Problem('not-found', 404, `There is no product with the key “${key}”.`);
	return product;
}

/** The values that filters offer. */
export async function catalogFilters(
	actor: Actor
): Promise<{ categories: Category[]; tags: { tag: string; products: number }[] }> {
	const db = database();
	return { categories: await allCategories(db, actor.storeId), tags: await tagCounts(db, actor.storeId) };
}

/** Sets single values of one product, read like a catalogue row; absent ones are kept, null clears. */
export async function patchProduct(actor: Actor, key: string, input: unknown): Promise<Product> {
	await getProduct(actor, key);
	const { store, catalog } = await storeStates.byId(actor.storeId, Date.now());
	const values = readBy(z.record(z.string(), z.unknown()), input, 'The product');
	if ('key' in values)
		throw new Problem('invalid', 422, 'The product cannot be taken as it is.', [
			{ at: '/key', message: 'cannot be changed' }
		]);
	const categories: Category[] = [];
	const reading = readRow(
		{ ...values, key },
		{ currency: store.currency, onCategories: (path) => categories.push(...path), attribute: catalog.attribute }
	);
	if (!reading.ok) {
		const faults = reading.faults.map(({ column, reason }) => ({ at: `/${column}`, message: reason }));
		throw new Problem('invalid', 422, 'The product cannot be taken as it is.', faults);
	}
	await transaction(async (client) => {
		await lockStore(client, actor.storeId, 'catalog');
		const stage = await CatalogStage.open(client, store);
		await stage.add([reading.change]);
		await stage.finish(false);
		await saveCategories(client, actor.storeId, categories);
		await writeAudit(client, actor, 'patch', `product ${key}`, null, values);
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'catalog' });
	});
	if (categories.length > 0) await storeStates.reloadCatalog(actor.storeId);
	else await storeStates.reloadProducts(actor.storeId, [key]);
	return getProduct(actor, key);
}
