import type { PageKind } from '@anbau/core/catalog';
import { many, type Db } from './pool.js';

/** What was last seen of a hook on a page of the shop. */
export interface Sighting {
	hook: string;
	url: string;
	/** The page's key, as its script tag says it. */
	key: string;
	kind: PageKind;
	/** How many elements there are; the first is taken. */
	found: number;
	/** Whether the theme has a marker for it. */
	byMarker: boolean;
	seen: string;
}

export function allSightings(db: Db, storeId: number): Promise<Sighting[]> {
	return many<Sighting & { [column: string]: unknown }>(
		db,
		`SELECT hook, url, page_key AS key, kind, found, by_marker AS "byMarker", seen FROM sighting WHERE store_id = $1 ORDER BY hook, url`,
		[storeId]
	);
}

/** Keeps what was seen in place of everything that was seen before. */
export async function replaceSightings(db: Db, storeId: number, sightings: Omit<Sighting, 'seen'>[]): Promise<void> {
	await db.query('DELETE FROM sighting WHERE store_id = $1', [storeId]);
	await db.query(
		`INSERT INTO sighting (store_id, hook, url, page_key, kind, found, by_marker)
		 SELECT $1, hook, url, key, kind, found, "byMarker" FROM jsonb_to_recordset($2)
		   AS seen (hook text, url text, key text, kind text, found integer, "byMarker" boolean)`,
		[storeId, JSON.stringify(sightings)]
	);
}
