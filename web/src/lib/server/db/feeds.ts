import { many, one, type Db } from './pool.js';

/** Where a store's catalogue is pulled from, and how the pulls went. */
export interface Feed {
	storeId: number;
	url: string;
	minutes: number;
	etag: string | null;
	lastSuccess: string | null;
	lastTry: string | null;
	nextTry: string;
	failures: number;
	message: string;
}

type Row = Feed & { [column: string]: unknown };
const COLUMNS = `store_id AS "storeId", url, minutes, etag, last_success AS "lastSuccess", last_try AS "lastTry",
	next_try AS "nextTry", failures, message`;

export function feedOf(db: Db, storeId: number): Promise<Feed | undefined> {
	return one<Row>(db, `SELECT ${COLUMNS} FROM feed WHERE store_id = $1`, [storeId]);
}

/** Sets the address and how often it is pulled; a new address begins anew. */
export async function saveFeed(db: Db, storeId: number, url: string, minutes: number, nextTry: Date): Promise<void> {
	await db.query(
		`INSERT INTO feed (store_id, url, minutes, next_try) VALUES ($1, $2, $3, $4)
		 ON CONFLICT (store_id) DO UPDATE SET url = excluded.url, minutes = excluded.minutes, next_try = excluded.next_try,
		   failures = 0, message = '', etag = CASE WHEN feed.url = excluded.url THEN feed.etag END`,
		[storeId, url, minutes, nextTry]
	);
}

export async function deleteFeed(db: Db, storeId: number): Promise<void> {
	await db.query('DELETE FROM feed WHERE store_id = $1', [storeId]);
}

/** Takes the feeds that are due, so that no other process pulls them too; each is due again after its pause. */
export async function takeDueFeeds(db: Db, now: Date): Promise<Feed[]> {
	return many<Row>(
		db,
		`UPDATE feed SET last_try = $1, next_try = $1 + make_interval(mins => minutes)
		 WHERE store_id IN (SELECT store_id FROM feed WHERE next_try <= $1 FOR UPDATE SKIP LOCKED) RETURNING ${COLUMNS}`,
		[now]
	);
}

/** Notes how a pull went. */
export async function noteFeed(
	db: Db,
	storeId: number,
	{
		etag,
		success,
		failures,
		nextTry,
		message
	}: { etag: string | null; success: Date | null; failures: number; nextTry: Date; message: string }
): Promise<void> {
	await db.query(
		`UPDATE feed SET etag = $2, last_success = coalesce($3, last_success), last_try = now(), failures = $4, next_try = $5,
		   message = $6 WHERE store_id = $1`,
		[storeId, etag, success, failures, nextTry, message]
	);
}

/** Price and stock of every product are what they were: the catalogue has not changed since the last pull. */
export async function confirmAllProducts(db: Db, storeId: number): Promise<void> {
	await db.query('UPDATE product SET freshness = now() WHERE store_id = $1', [storeId]);
}
