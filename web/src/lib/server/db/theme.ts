import type { HousePart, ThemeHook } from '@anbau/core/placement';
import { many, type Db } from './pool.js';

type Doc<T> = { doc: T } & { [column: string]: unknown };

/** Hooks that are bound to the theme, and the owner's own. */
export async function allHooks(db: Db, storeId: number): Promise<ThemeHook[]> {
	const text = 'SELECT doc FROM hook WHERE store_id = $1 ORDER BY id';
	return (await many<Doc<ThemeHook>>(db, text, [storeId])).map(({ doc }) => doc);
}

export async function saveHook(db: Db, storeId: number, hook: ThemeHook): Promise<void> {
	await db.query(
		`INSERT INTO hook (store_id, id, doc) VALUES ($1, $2, $3)
		 ON CONFLICT (store_id, id) DO UPDATE SET doc = excluded.doc`,
		[storeId, hook.id, JSON.stringify(hook)]
	);
}

export async function deleteHook(db: Db, storeId: number, id: string): Promise<void> {
	await db.query('DELETE FROM hook WHERE store_id = $1 AND id = $2', [storeId, id]);
	await db.query('DELETE FROM sighting WHERE store_id = $1 AND hook = $2', [storeId, id]);
}

/** Elements of the theme that hang on another hook. */
export async function allHouseParts(db: Db, storeId: number): Promise<HousePart[]> {
	const text = 'SELECT doc FROM house_part WHERE store_id = $1 ORDER BY slug';
	return (await many<Doc<HousePart>>(db, text, [storeId])).map(({ doc }) => doc);
}

export async function saveHousePart(db: Db, storeId: number, part: HousePart): Promise<void> {
	await db.query(
		`INSERT INTO house_part (store_id, slug, doc) VALUES ($1, $2, $3)
		 ON CONFLICT (store_id, slug) DO UPDATE SET doc = excluded.doc`,
		[storeId, part.slug, JSON.stringify(part)]
	);
}

export async function deleteHousePart(db: Db, storeId: number, slug: string): Promise<boolean> {
	const result = await db.query('DELETE FROM house_part WHERE store_id = $1 AND slug = $2', [storeId, slug]);
	return result.rowCount === 1;
}
