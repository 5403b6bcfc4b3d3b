import type { Piece } from '@anbau/core/pieces';
import { many, type Db } from './pool.js';

/** A piece of the owner's that was kept to begin from. */
export interface Starter {
	slug: string;
	doc: Piece;
}

export function allStarters(db: Db, storeId: number): Promise<Starter[]> {
	return many<Starter & { [column: string]: unknown }>(
		db,
		`SELECT slug, doc FROM starter WHERE store_id = $1 ORDER BY doc->>'name', slug`,
		[storeId]
	);
}

export async function saveStarter(db: Db, storeId: number, { slug, doc }: Starter): Promise<void> {
	await db.query(
		`INSERT INTO starter (store_id, slug, doc) VALUES ($1, $2, $3)
		 ON CONFLICT (store_id, slug) DO UPDATE SET doc = excluded.doc`,
		[storeId, slug, JSON.stringify(doc)]
	);
}

export async function deleteStarter(db: Db, storeId: number, slug: string): Promise<boolean> {
	const result = await db.query('DELETE FROM starter WHERE store_id = $1 AND slug = $2', [storeId, slug]);
	return result.rowCount === 1;
}
