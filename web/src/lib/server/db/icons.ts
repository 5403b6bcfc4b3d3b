import { many, type Db } from './pool.js';

/** The owner's own icons, by slug, as cleaned SVG. */
export async function allIcons(db: Db, storeId: number): Promise<Map<string, string>> {
	const rows = await many<{ slug: string; svg: string }>(
		db,
		'SELECT slug, svg FROM icon WHERE store_id = $1 ORDER BY slug',
		[storeId]
	);
	return new Map(rows.map(({ slug, svg }) => [slug, svg]));
}

/** Adds an icon; answers false where the slug is taken. */
export async function insertIcon(db: Db, storeId: number, slug: string, svg: string): Promise<boolean> {
	const result = await db.query(
		'INSERT INTO icon (store_id, slug, svg) VALUES ($1, $2, $3) ON CONFLICT (store_id, slug) DO NOTHING',
		[storeId, slug, svg]
	);
	return result.rowCount === 1;
}

export async function deleteIcon(db: Db, storeId: number, slug: string): Promise<boolean> {
	const result = await db.query('DELETE FROM icon WHERE store_id = $1 AND slug = $2', [storeId, slug]);
	return result.rowCount === 1;
}
