import { once } from 'node:events';
import type { Writable } from 'node:stream';
import type pg from 'pg';
import { from as copyFrom } from 'pg-copy-streams';
import type { Category, ProductChange } from '@anbau/core/catalog';
import { FIELDS, PRODUCT_COLUMNS, productLine, STAGED_COLUMNS, stagedLine } from './catalogCopy.js';
import { one, type Db } from './pool.js';

/** How much is gathered before it is sent, in characters. */
const PACKET = 1 << 17;
/** How many bytes may wait for the database before reading does: enough for both to work side by side. */
const MAX_WAITING = 1 << 23;

/**
 * Takes changes to a catalogue inside a transaction. Into an empty catalogue they are copied as they come; otherwise
 * they are staged in a table of the transaction and merged at the end.
 */
export class CatalogStage {
	private packet = '';
	private rows = 0;

	private constructor(
		private readonly client: pg.PoolClient,
		private readonly stream: Writable,
		private readonly store: { id: number; currency: string },
		/** Whether the catalogue was empty. */
		private readonly isFirst: boolean,
		private readonly lineOf: (change: ProductChange) => string
	) {}

	/** Opens the stage on a client that is inside a transaction; nothing else may run on it until it is finished. */
	static async open(client: pg.PoolClient, store: { id: number; currency: string }): Promise<CatalogStage> {
		const known = await one(client, 'SELECT FROM product WHERE store_id = $1 LIMIT 1', [store.id]);
		const now = new Date().toISOString();
		const lineOf = known ? stagedLine : (change: ProductChange) => productLine(change, store.id, store.currency, now);
		if (known) await createStagingTable(client);
		const [table, columns] = known ? ['incoming', STAGED_COLUMNS] : ['product', PRODUCT_COLUMNS];
		const stream = client.query(copyFrom(`COPY ${table} (${columns.join(', ')}) FROM STDIN`));
		return new CatalogStage(client, stream, store, !known, lineOf);
	}

	async add(changes: readonly ProductChange[]): Promise<void> {
		this.rows += changes.length;
		for (const change of changes) {
			this.packet += this.lineOf(change);
			if (this.packet.length > PACKET) await this.flush();
		}
	}

	private async flush(): Promise<void> {
		const { packet } = this;
		this.packet = '';
		if (packet !== '' && !this.stream.write(packet) && this.stream.writableLength > MAX_WAITING) {
			await once(this.stream, 'drain');
		}
	}

	/** Gives up what was staged; the transaction can then be rolled back. */
	async abort(): Promise<void> {
		const closed = once(this.stream, 'close').catch(() => undefined);
		this.stream.once('error', () => undefined);
		this.stream.destroy(new Error('the import was given up'));
		await closed;
	}

	/**
	 * Merges what was staged, and removes what was not if that is wanted; counts what happened. A product that the
	 * changes leave as it is has its price and stock confirmed.
	 */
	async finish(
		removeOthers: boolean
	): Promise<{ inserted: number; updated: number; unchanged: number; removed: number }> {
		await this.flush();
		this.stream.end();
		await once(this.stream, 'finish');
		const { client, store, rows } = this;
		if (this.isFirst) return { inserted: rows, updated: 0, unchanged: 0, removed: 0 };
		const { inserted, updated } = await mergeStage(client, store.id, store.currency);
		if (inserted < rows) await confirmStaged(client, store.id);
		const removed = removeOthers ? await removeUnstaged(client, store.id) : 0;
		return { inserted, updated, unchanged: rows - inserted - updated, removed };
	}
}

async function createStagingTable(db: Db): Promise<void> {
	const columns = FIELDS.map(({ name, type }) => `${name} ${type}`).join(', ');
	await db.query(
		`CREATE TEMP TABLE incoming (key text COLLATE "C", ${columns}, attributes jsonb, attribute_facts jsonb,
		 present integer) ON COMMIT DROP`
	);
}

const NAMES = FIELDS.map(({ name }) => name);
const COMPARED = [...NAMES, 'attributes', 'attribute_facts'];
const INITIAL: Record<string, string> = {
	title: 'i.key',
	summary: `''`,
	description: `''`,
	currency: '$2',
	visible: 'true',
	images: `'{}'`,
	tags: `'{}'`,
	categories: `'{}'`,
	tags_folded: `'{}'`
};
const MERGED = NAMES.map(
	(name, bit) =>
		`CASE WHEN i.present & ${1 << bit} <> 0 THEN i.${name} WHEN p.key IS NULL THEN ${INITIAL[name] ?? 'NULL'} ELSE p.${name} END`
).join(', ');
const listed = (table: string) => COMPARED.map((name) => `${table}.${name}`).join(', ');

/** Merges the staged changes into the products of the store, and counts what happened. */
async function mergeStage(db: Db, storeId: number, currency: string): Promise<{ inserted: number; updated: number }> {
	const row = await one<{ inserted: number; updated: number }>(
		db,
		`WITH merged AS (
			INSERT INTO product AS t (store_id, key, ${COMPARED.join(', ')}, freshness)
			SELECT $1, i.key, ${MERGED},
				CASE WHEN i.attributes = '{}' THEN coalesce(p.attributes, '{}')
				     ELSE jsonb_strip_nulls(coalesce(p.attributes, '{}') || i.attributes) END,
				CASE WHEN i.attributes = '{}' THEN coalesce(p.attribute_facts, '{}')
				     ELSE (SELECT coalesce(jsonb_object_agg(k, v), '{}')
				           FROM jsonb_each(coalesce(p.attribute_facts, '{}') || i.attribute_facts) AS e(k, v) WHERE v <> 'null') END,
				now()
			FROM incoming i LEFT JOIN product p ON p.store_id = $1 AND p.key = i.key
			ON CONFLICT (store_id, key) DO UPDATE
			SET (${COMPARED.join(', ')}, freshness) = ROW (${listed('excluded')}, excluded.freshness)
			WHERE (${listed('t')}) IS DISTINCT FROM (${listed('excluded')})
			RETURNING (xmax = 0) AS fresh)
		 SELECT count(*) FILTER (WHERE fresh) AS inserted, count(*) FILTER (WHERE NOT fresh) AS updated FROM merged`,
		[storeId, currency]
	);
	return row ?? { inserted: 0, updated: 0 };
}

async function removeUnstaged(db: Db, storeId: number): Promise<number> {
	const result = await db.query(
		'DELETE FROM product p WHERE p.store_id = $1 AND NOT EXISTS (SELECT FROM incoming i WHERE i.key = p.key)',
		[storeId]
	);
	return result.rowCount ?? 0;
}

async function confirmStaged(db: Db, storeId: number): Promise<void> {
	await db.query(
		`UPDATE product p SET freshness = now() FROM incoming i
		 WHERE p.store_id = $1 AND p.key = i.key AND p.freshness IS DISTINCT FROM now()`,
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
