import { once } from 'node:events';
import type { Writable } from 'node:stream';
import type pg from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import { attributeFactsOf, fold, type Category, type ProductChange } from '@anbau/core/catalog';
import { one, type Db } from './pool.js';

/**
 * The columns of a change with their SQL type and the default of a new row. Each has a bit in `present`, set when
 * the change says anything of it: an absent column keeps its value, an empty one clears it.
 */
const FIELDS = [
	['sku', 'text', 'NULL'],
	['title', 'text', 'i.key'],
	['summary', 'text', `''`],
	['description', 'text', `''`],
	['price', 'bigint', 'NULL'],
	['list_price', 'bigint', 'NULL'],
	['currency', 'text', '$2'],
	['stock', 'integer', 'NULL'],
	['availability', 'text', 'NULL'],
	['visible', 'boolean', 'true'],
	['brand', 'text', 'NULL'],
	['images', 'text[]', `'{}'`],
	['tags', 'text[]', `'{}'`],
	['categories', 'text[]', `'{}'`],
	['created', 'timestamptz', 'NULL'],
	['sold30', 'integer', 'NULL'],
	['url', 'text', 'NULL'],
	['brand_folded', 'text', 'NULL'],
	['tags_folded', 'text[]', `'{}'`]
] as const;

type FieldName = (typeof FIELDS)[number][0];

/** Where a column's value comes from in a change; undefined leaves the column as it is. */
const VALUE_OF: Record<FieldName, (change: ProductChange) => unknown> = {
	sku: (c) => c.sku,
	title: (c) => c.title,
	summary: (c) => c.summary,
	description: (c) => c.description,
	price: (c) => c.price,
	list_price: (c) => c.listPrice,
	currency: (c) => c.currency,
	stock: (c) => c.stock,
	availability: (c) => c.availability,
	visible: (c) => c.visible,
	brand: (c) => c.brand,
	images: (c) => c.images,
	tags: (c) => c.tags,
	categories: (c) => c.categories,
	created: (c) => c.created,
	sold30: (c) => c.sold30,
	url: (c) => c.url,
	brand_folded: (c) => (typeof c.brand === 'string' ? fold(c.brand) : c.brand),
	tags_folded: (c) => c.tags?.map(fold)
};

const writers = FIELDS.map(([name], bit) => ({ value: VALUE_OF[name], bit: 1 << bit }));

/** A change as a line of PostgreSQL's COPY text format. */
export function copyLine(change: ProductChange): string {
	let present = 0;
	let line = copyText(change.key);
	for (const { value, bit } of writers) {
		const found = value(change);
		if (found !== undefined) present |= bit;
		line += `\t${copyValue(found)}`;
	}
	const { attributes } = change;
	if (!attributes) return `${line}\t{}\t{}\t${present}\n`;
	const kept = Object.fromEntries(
		Object.entries(attributes).flatMap(([code, value]) => (value === null ? [] : [[code, value] as const]))
	);
	const cleared = Object.keys(attributes).filter((code) => attributes[code] === null);
	const nulls = Object.fromEntries(cleared.map((code) => [code, null]));
	const facts = { ...attributeFactsOf(kept), ...nulls };
	return `${line}\t${copyText(JSON.stringify(attributes))}\t${copyText(JSON.stringify(facts))}\t${present}\n`;
}

function copyValue(value: unknown): string {
	if (value === null || value === undefined) return '\\N';
	if (typeof value === 'string') return copyText(value);
	if (!Array.isArray(value)) return String(value);
	if (value.length === 0) return '{}';
	return copyText(`{${value.map((part) => `"${String(part).replace(/["\\]/g, '\\$&')}"`).join(',')}}`);
}

const ESCAPED: Record<string, string> = { '\\': '\\\\', '\t': '\\t', '\n': '\\n', '\r': '\\r' };

function copyText(text: string): string {
	return /[\\\t\n\r]/.test(text) ? text.replace(/[\\\t\n\r]/g, (char) => ESCAPED[char] ?? char) : text;
}

/** Takes changes into a table of the running transaction, to be merged at the end. */
export class CatalogStage {
	private buffer: string[] = [];
	private size = 0;

	private constructor(private readonly stream: Writable) {}

	/** Opens the stage on a client that is inside a transaction; nothing else may run on it until `close`. */
	static async open(client: pg.PoolClient): Promise<CatalogStage> {
		const columns = FIELDS.map(([name, type]) => `${name} ${type}`).join(', ');
		await client.query(
			`CREATE TEMP TABLE incoming (row integer GENERATED ALWAYS AS IDENTITY, key text COLLATE "C", ${columns},
			 attributes jsonb, attribute_facts jsonb, present integer) ON COMMIT DROP`
		);
		const names = ['key', ...FIELDS.map(([name]) => name), 'attributes', 'attribute_facts', 'present'].join(', ');
		return new CatalogStage(client.query(copyFrom(`COPY incoming (${names}) FROM STDIN`)));
	}

	async add(change: ProductChange): Promise<void> {
		const line = copyLine(change);
		this.buffer.push(line);
		this.size += line.length;
		if (this.size > 1 << 17) await this.flush();
	}

	private async flush(): Promise<void> {
		const chunk = this.buffer.join('');
		this.buffer = [];
		this.size = 0;
		if (chunk !== '' && !this.stream.write(chunk)) await once(this.stream, 'drain');
	}

	/** Gives up what was staged; the transaction can then be rolled back. */
	async abort(): Promise<void> {
		const closed = once(this.stream, 'close').catch(() => undefined);
		this.stream.once('error', () => undefined);
		this.stream.destroy(new Error('the import was given up'));
		await closed;
	}

	async close(): Promise<void> {
		await this.flush();
		this.stream.end();
		await once(this.stream, 'finish');
	}
}

const INSERTED = FIELDS.map(([name]) => name).join(', ');
const MERGED = FIELDS.map(
	([name, , fallback], bit) =>
		`CASE WHEN i.present & ${1 << bit} <> 0 THEN i.${name} WHEN p.key IS NULL THEN ${fallback} ELSE p.${name} END`
).join(', ');
const COMPARED = [...FIELDS.map(([name]) => name), 'attributes', 'attribute_facts'];

/** Merges the staged changes into the products of the store, and counts what happened. */
export async function mergeStage(
	db: Db,
	storeId: number,
	currency: string
): Promise<{ inserted: number; updated: number }> {
	const row = await one<{ inserted: number; updated: number }>(
		db,
		`WITH merged AS (
			INSERT INTO product AS t (store_id, key, ${INSERTED}, attributes, attribute_facts, freshness)
			SELECT $1, i.key, ${MERGED},
				CASE WHEN i.attributes = '{}' THEN coalesce(p.attributes, '{}') ELSE jsonb_strip_nulls(coalesce(p.attributes, '{}') || i.attributes) END,
				CASE WHEN i.attributes = '{}' THEN coalesce(p.attribute_facts, '{}')
				     ELSE (SELECT coalesce(jsonb_object_agg(k, v), '{}') FROM jsonb_each(coalesce(p.attribute_facts, '{}') || i.attribute_facts) AS e(k, v) WHERE v <> 'null') END,
				now()
			FROM incoming i LEFT JOIN product p ON p.store_id = $1 AND p.key = i.key
			ORDER BY i.row
			ON CONFLICT (store_id, key) DO UPDATE SET (${COMPARED.join(', ')}, freshness) = ROW (${COMPARED.map((name) => `excluded.${name}`).join(', ')}, excluded.freshness)
			WHERE (${COMPARED.map((name) => `t.${name}`).join(', ')}) IS DISTINCT FROM (${COMPARED.map((name) => `excluded.${name}`).join(', ')})
			RETURNING (xmax = 0) AS fresh)
		 SELECT count(*) FILTER (WHERE fresh) AS inserted, count(*) FILTER (WHERE NOT fresh) AS updated FROM merged`,
		[storeId, currency]
	);
	return row ?? { inserted: 0, updated: 0 };
}

/** Removes the products of a store that are not among the staged ones; answers how many went. */
export async function removeUnstaged(db: Db, storeId: number): Promise<number> {
	const result = await db.query(
		'DELETE FROM product p WHERE p.store_id = $1 AND NOT EXISTS (SELECT FROM incoming i WHERE i.key = p.key)',
		[storeId]
	);
	return result.rowCount ?? 0;
}

/** Confirms price and stock of all staged products, changed or not. */
export async function confirmStaged(db: Db, storeId: number): Promise<void> {
	await db.query(
		'UPDATE product p SET freshness = now() FROM incoming i WHERE p.store_id = $1 AND p.key = i.key AND p.freshness IS DISTINCT FROM now()',
		[storeId]
	);
}

/** Adds categories that are not there; a known one takes the title it was last given. */
export async function saveCategories(db: Db, storeId: number, categories: readonly Category[]): Promise<void> {
	const byDepth = [...categories].sort((a, b) => a.key.split('/').length - b.key.split('/').length);
	await db.query(
		`INSERT INTO category (store_id, key, title, parent)
		 SELECT $1, c.key, c.title, c.parent FROM unnest($2::text[], $3::text[], $4::text[]) AS c(key, title, parent)
		 ON CONFLICT (store_id, key) DO UPDATE SET title = excluded.title WHERE category.title <> excluded.title`,
		[storeId, byDepth.map((c) => c.key), byDepth.map((c) => c.title), byDepth.map((c) => c.parent)]
	);
}
