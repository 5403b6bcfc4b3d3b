import { minorDigits, type Category, type Product } from '@anbau/core/catalog';
import type { Rule } from '@anbau/core/rules';
import { many, one, type Db } from './pool.js';
import { ruleToSql } from './ruleSql.js';

const COLUMNS = `p.key, p.sku, p.title, p.summary, p.description, p.price, p.list_price AS "listPrice", p.currency, p.stock,
	p.availability, p.visible, p.brand, p.images, p.tags, p.categories, p.created, p.sold30, p.url, p.attributes, p.freshness`;

type Row<T> = T & { [column: string]: unknown };

/** Every product of a store in key order; without descriptions, which only the product's own page needs. */
export function allProducts(db: Db, storeId: number): Promise<Product[]> {
	const light = COLUMNS.replace('p.description', `'' AS description`);
	return many<Row<Product>>(db, `SELECT ${light} FROM product p WHERE p.store_id = $1 ORDER BY p.key COLLATE "C"`, [
		storeId
	]);
}

export function productByKey(db: Db, storeId: number, key: string): Promise<Product | undefined> {
	return one<Row<Product>>(db, `SELECT ${COLUMNS} FROM product p WHERE p.store_id = $1 AND p.key = $2`, [storeId, key]);
}

/** The products of some keys; without descriptions. */
export function productsByKeys(db: Db, storeId: number, keys: readonly string[]): Promise<Product[]> {
	const light = COLUMNS.replace('p.description', `'' AS description`);
	return many<Row<Product>>(db, `SELECT ${light} FROM product p WHERE p.store_id = $1 AND p.key = ANY($2)`, [
		storeId,
		keys
	]);
}

export function allCategories(db: Db, storeId: number): Promise<Category[]> {
	return many<Row<Category>>(
		db,
		'SELECT key, title, description, parent FROM category WHERE store_id = $1 ORDER BY key COLLATE "C"',
		[storeId]
	);
}

/** How a list of products can be sorted, each with its SQL; the key decides among equals. */
const SORTS = {
	title: 'p.title',
	price: 'p.price',
	stock: 'p.stock',
	created: 'p.created',
	sold: 'p.sold30'
} as const;
export type ProductSort = keyof typeof SORTS;
export const PRODUCT_SORTS = Object.keys(SORTS) as [ProductSort, ...ProductSort[]];

export interface ProductQuery {
	search: string;
	rule: Rule;
	sort: ProductSort;
	descending: boolean;
	offset: number;
	limit: number;
}

/** One page of products that meet a rule and a search text, with how many there are in all. */
export async function findProducts(
	db: Db,
	storeId: number,
	query: ProductQuery,
	now: number
): Promise<{ total: number; products: Product[] }> {
	const values: unknown[] = [storeId];
	const where = ['p.store_id = $1', ruleToSql(query.rule, now, await currencyDigits(db, storeId), values)];
	if (query.search !== '') {
		values.push(`%${query.search.replace(/[\\%_]/g, '\\$&')}%`);
		where.push(`(p.title ILIKE $${values.length} OR p.key ILIKE $${values.length} OR p.sku ILIKE $${values.length})`);
	}
	const condition = where.join(' AND ');
	const count = await one<{ total: number }>(db, `SELECT count(*) AS total FROM product p WHERE ${condition}`, values);
	const light = COLUMNS.replace('p.description', `'' AS description`);
	const order = `${SORTS[query.sort]} ${query.descending ? 'DESC' : 'ASC'} NULLS LAST, p.key COLLATE "C"`;
	const products = await many<Row<Product>>(
		db,
		`SELECT ${light} FROM product p WHERE ${condition} ORDER BY ${order}
		 LIMIT $${values.length + 1} OFFSET $${values.length + 2}`,
		[...values, query.limit, query.offset]
	);
	return { total: count?.total ?? 0, products };
}

/** The keys of the visible products that meet a rule. */
export async function keysMeeting(db: Db, storeId: number, rule: Rule, now: number): Promise<string[]> {
	const values: unknown[] = [storeId];
	const condition = ruleToSql(rule, now, await currencyDigits(db, storeId), values);
	const rows = await many<{ key: string }>(
		db,
		`SELECT p.key FROM product p WHERE p.store_id = $1 AND p.visible AND ${condition} ORDER BY p.key COLLATE "C"`,
		values
	);
	return rows.map((row) => row.key);
}

async function currencyDigits(db: Db, storeId: number): Promise<Record<string, number>> {
	const rows = await many<{ currency: string }>(db, 'SELECT DISTINCT currency FROM product WHERE store_id = $1', [
		storeId
	]);
	return Object.fromEntries(rows.map(({ currency }) => [currency, minorDigits(currency)]));
}

/** How many products a tag or category is on, the most used first. */
export async function tagCounts(db: Db, storeId: number): Promise<{ tag: string; products: number }[]> {
	return many<{ tag: string; products: number }>(
		db,
		`SELECT min(t.tag) AS tag, count(DISTINCT p.key) AS products
		 FROM product p, unnest(p.tags, p.tags_folded) AS t(tag, folded)
		 WHERE p.store_id = $1 GROUP BY t.folded ORDER BY products DESC, tag LIMIT 2000`,
		[storeId]
	);
}
