import type { AttributeDefinition, AttributeValue } from '@anbau/core/catalog';
import { many, one, type Db } from './pool.js';

interface Row {
	code: string;
	definition: Omit<AttributeDefinition, 'code'>;
}

const definitionOf = ({ code, definition }: Row): AttributeDefinition => ({ ...definition, code });

/** Every definition of a store, in the order in which they were made. */
export async function allAttributes(db: Db, storeId: number): Promise<AttributeDefinition[]> {
	const rows = await many<Row & { [column: string]: unknown }>(
		db,
		'SELECT code, definition FROM attribute WHERE store_id = $1 ORDER BY created, code',
		[storeId]
	);
	return rows.map(definitionOf);
}

/** A definition, locked until the transaction ends. */
export async function lockedAttribute(db: Db, storeId: number, code: string): Promise<AttributeDefinition | undefined> {
	const row = await one<Row & { [column: string]: unknown }>(
		db,
		'SELECT code, definition FROM attribute WHERE store_id = $1 AND code = $2 FOR UPDATE',
		[storeId, code]
	);
	return row && definitionOf(row);
}

export async function saveAttribute(
	db: Db,
	storeId: number,
	{ code, ...definition }: AttributeDefinition
): Promise<void> {
	await db.query(
		`INSERT INTO attribute (store_id, code, definition) VALUES ($1, $2, $3)
		 ON CONFLICT (store_id, code) DO UPDATE SET definition = excluded.definition`,
		[storeId, code, JSON.stringify(definition)]
	);
}

export async function deleteAttribute(db: Db, storeId: number, code: string): Promise<void> {
	await db.query('DELETE FROM attribute WHERE store_id = $1 AND code = $2', [storeId, code]);
}

/** What changes of the attributes of one product or category; null clears a value. */
export interface ValueChange {
	key: string;
	values: Record<string, AttributeValue | null>;
	/** What rules see of the values; only products have it. */
	facts: Record<string, unknown>;
}

/** Sets values of products, in one statement; price and stock are not confirmed by it. */
export async function setProductValues(db: Db, storeId: number, changes: readonly ValueChange[]): Promise<number> {
	const result = await db.query(
		`UPDATE product p SET attributes = jsonb_strip_nulls(p.attributes || c.value),
		   attribute_facts = (SELECT coalesce(jsonb_object_agg(k, v), '{}')
		     FROM jsonb_each(p.attribute_facts || c.facts) AS e(k, v) WHERE v <> 'null')
		 FROM unnest($2::text[], $3::jsonb[], $4::jsonb[]) AS c(key, value, facts)
		 WHERE p.store_id = $1 AND p.key = c.key`,
		[
			storeId,
			changes.map((change) => change.key),
			changes.map((change) => JSON.stringify(change.values)),
			changes.map((change) => JSON.stringify(change.facts))
		]
	);
	return result.rowCount ?? 0;
}

/** Sets values of categories, in one statement. */
export async function setCategoryValues(db: Db, storeId: number, changes: readonly ValueChange[]): Promise<number> {
	const result = await db.query(
		`UPDATE category k SET attributes = jsonb_strip_nulls(k.attributes || c.value)
		 FROM unnest($2::text[], $3::jsonb[]) AS c(key, value) WHERE k.store_id = $1 AND k.key = c.key`,
		[storeId, changes.map((change) => change.key), changes.map((change) => JSON.stringify(change.values))]
	);
	return result.rowCount ?? 0;
}

/** The attributes of every category that has any. */
export async function categoryValues(db: Db, storeId: number): Promise<Map<string, Record<string, AttributeValue>>> {
	const rows = await many<{ key: string; attributes: Record<string, AttributeValue> }>(
		db,
		`SELECT key, attributes FROM category WHERE store_id = $1 AND attributes <> '{}'`,
		[storeId]
	);
	return new Map(rows.map(({ key, attributes }) => [key, attributes]));
}
