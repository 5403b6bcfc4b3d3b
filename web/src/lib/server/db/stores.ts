import { one, type Db } from './pool.js';

/** A store as everything else belongs to it. */
export interface Store {
	id: number;
	key: string;
	name: string;
	url: string;
	currency: string;
	locale: string;
	zone: string;
	visitorSecret: string;
	cacheSeconds: number;
}

const COLUMNS =
	'id, key, name, url, currency, locale, zone, visitor_secret AS "visitorSecret", cache_seconds AS "cacheSeconds"';

export function storeById(db: Db, id: number): Promise<Store | undefined> {
	return one<Store>(db, `SELECT ${COLUMNS} FROM store WHERE id = $1`, [id]);
}

export function storeByKey(db: Db, key: string): Promise<Store | undefined> {
	return one<Store>(db, `SELECT ${COLUMNS} FROM store WHERE key = $1`, [key]);
}

export async function insertStore(db: Db, store: Omit<Store, 'id' | 'cacheSeconds'>): Promise<Store> {
	const row = await one<Store>(
		db,
		`INSERT INTO store (key, name, url, currency, locale, zone, visitor_secret)
		 VALUES ($1, $2, $3, $4, $5, $6, $7) RETURNING ${COLUMNS}`,
		[store.key, store.name, store.url, store.currency, store.locale, store.zone, store.visitorSecret]
	);
	if (!row) throw new Error('the store was not inserted');
	return row;
}

export async function setStoreUrl(db: Db, id: number, url: string): Promise<void> {
	await db.query('UPDATE store SET url = $2 WHERE id = $1', [id, url]);
}
