import type { MediaFacts } from '@anbau/core/media';
import { many, one, type Db } from './pool.js';

/** An uploaded picture or film. */
export interface MediaRow {
	sha256: string;
	ending: string;
	name: string;
	/** What it shows, for those who cannot see it. */
	alt: string;
	/** The still picture and the captions of a film, by the addresses of uploads; empty for none. */
	poster: string;
	captions: string;
	facts: MediaFacts;
	removed: boolean;
	created: string;
	by: string;
}

type Row = MediaRow & { [column: string]: unknown };
const COLUMNS = 'sha256, ending, name, alt, poster, captions, facts, removed, created, created_by AS by';

export function allMedia(db: Db, storeId: number): Promise<MediaRow[]> {
	return many<Row>(db, `SELECT ${COLUMNS} FROM media WHERE store_id = $1 ORDER BY created DESC, sha256`, [storeId]);
}

/** Notes an upload; the same bytes keep their first name and come back where they were removed. */
export async function insertMedia(
	db: Db,
	storeId: number,
	{ sha256, ending, name, facts, by }: Omit<MediaRow, 'removed' | 'created' | 'alt' | 'poster' | 'captions'>
): Promise<MediaRow> {
	const row = await one<Row>(
		db,
		`INSERT INTO media (store_id, sha256, ending, name, facts, created_by) VALUES ($1, $2, $3, $4, $5, $6)
		 ON CONFLICT (store_id, sha256) DO UPDATE SET removed = false RETURNING ${COLUMNS}`,
		[storeId, sha256, ending, name, JSON.stringify(facts), by]
	);
	if (!row) throw new Error('the upload was not noted');
	return row;
}

export function updateMedia(
	db: Db,
	storeId: number,
	sha256: string,
	{ name, alt, poster, captions, removed }: Pick<MediaRow, 'name' | 'alt' | 'poster' | 'captions' | 'removed'>
): Promise<MediaRow | undefined> {
	return one<Row>(
		db,
		`UPDATE media SET name = $3, alt = $4, poster = $5, captions = $6, removed = $7 WHERE store_id = $1 AND sha256 = $2 RETURNING ${COLUMNS}`,
		[storeId, sha256, name, alt, poster, captions, removed]
	);
}

/** The titles of products and categories whose attribute values name a text. */
export async function valuesNaming(db: Db, storeId: number, text: string): Promise<string[]> {
	const rows = await many<{ title: string }>(
		db,
		`SELECT title FROM product WHERE store_id = $1 AND position($2 in attributes::text) > 0
		 UNION ALL SELECT title FROM category WHERE store_id = $1 AND position($2 in attributes::text) > 0
		 ORDER BY title LIMIT 20`,
		[storeId, text]
	);
	return rows.map(({ title }) => title);
}

/** Writes one address in place of another wherever attribute values name it; answers the products. */
export async function replaceInValues(db: Db, storeId: number, from: string, to: string): Promise<string[]> {
	const set = `SET attributes = replace(attributes::text, $2, $3)::jsonb
		WHERE store_id = $1 AND position($2 in attributes::text) > 0`;
	const rows = await many<{ key: string }>(db, `UPDATE product ${set} RETURNING key`, [storeId, from, to]);
	await db.query(`UPDATE category ${set}`, [storeId, from, to]);
	await db.query(
		`UPDATE media SET poster = replace(poster, $2, $3), captions = replace(captions, $2, $3)
		 WHERE store_id = $1 AND (poster = $2 OR captions = $2)`,
		[storeId, from, to]
	);
	return rows.map(({ key }) => key);
}
