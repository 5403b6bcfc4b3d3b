import type { MediaFacts } from '@anbau/core/media';
import { many, one, type Db } from './pool.js';

/** An uploaded picture or film. */
export interface MediaRow {
	sha256: string;
	ending: string;
	name: string;
	/** What it shows, for those who cannot see it. */
	alt: string;
	facts: MediaFacts;
	removed: boolean;
	created: string;
	by: string;
}

type Row = MediaRow & { [column: string]: unknown };
const COLUMNS = 'sha256, ending, name, alt, facts, removed, created, created_by AS by';

export function allMedia(db: Db, storeId: number): Promise<MediaRow[]> {
	return many<Row>(db, `SELECT ${COLUMNS} FROM media WHERE store_id = $1 ORDER BY created DESC, sha256`, [storeId]);
}

/** Notes an upload; the same bytes keep their first name and come back where they were removed. */
export async function insertMedia(
	db: Db,
	storeId: number,
	{ sha256, ending, name, facts, by }: Omit<MediaRow, 'removed' | 'created' | 'alt'>
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
	{ name, alt, removed }: Pick<MediaRow, 'name' | 'alt' | 'removed'>
): Promise<MediaRow | undefined> {
	return one<Row>(
		db,
		`UPDATE media SET name = $3, alt = $4, removed = $5 WHERE store_id = $1 AND sha256 = $2 RETURNING ${COLUMNS}`,
		[storeId, sha256, name, alt, removed]
	);
}
