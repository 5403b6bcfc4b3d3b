import { NO_REVIEWS, type Histogram, type ProductReviews, type Review, type ShownReview } from '@anbau/core/reviews';
import { many, one, type Db } from './pool.js';

const COLUMNS =
	'r.id, r.product, r.rating, r.title, r.body AS text, r.author, r.date, r.verified, r.pictures, r.state, r.reason, r.reply';
type Row = Review & { [column: string]: unknown };

/** Reviews by their ids, locked for a change where the transaction is about to make one. */
export function reviewsByIds(db: Db, storeId: number, ids: readonly string[], lock = ''): Promise<Review[]> {
	// In one order, so that two changes of many never wait for each other.
	const sql = `SELECT ${COLUMNS} FROM review r WHERE store_id = $1 AND id = ANY($2) ORDER BY id ${lock}`;
	return many<Row>(db, sql, [storeId, ids]);
}

/** Writes reviews, new ones and those that are there already. */
export async function upsertReviews(db: Db, storeId: number, reviews: readonly Review[]): Promise<void> {
	await db.query(
		`INSERT INTO review (store_id, id, product, rating, title, body, author, date, verified, pictures, state, reason, reply)
		 SELECT $1, id, product, rating, title, text, author, date, verified, pictures, state, reason, reply
		 FROM jsonb_to_recordset($2) AS r(id text, product text, rating smallint, title text, text text, author text,
			date timestamptz, verified boolean, pictures jsonb, state text, reason text, reply text)
		 ON CONFLICT (store_id, id) DO UPDATE SET product = excluded.product, rating = excluded.rating,
			title = excluded.title, body = excluded.body, author = excluded.author, date = excluded.date,
			verified = excluded.verified, pictures = excluded.pictures, state = excluded.state, reason = excluded.reason,
			reply = excluded.reply`,
		[storeId, JSON.stringify(reviews)]
	);
}

export async function deleteReview(db: Db, storeId: number, id: string): Promise<void> {
	await db.query('DELETE FROM review WHERE store_id = $1 AND id = $2', [storeId, id]);
}

/** Adds to the counts of products what has changed of them, by rating. */
export async function addCounts(db: Db, storeId: number, changes: ReadonlyMap<string, Histogram>): Promise<void> {
	const rows = [...changes].map(([product, counts]) => ({ product, counts }));
	await db.query(
		`INSERT INTO review_counts AS c (store_id, product, counts)
		 SELECT $1, product, counts FROM jsonb_to_recordset($2) AS r(product text, counts integer[]) ORDER BY product
		 ON CONFLICT (store_id, product) DO UPDATE SET counts = ARRAY[
			c.counts[1] + excluded.counts[1], c.counts[2] + excluded.counts[2], c.counts[3] + excluded.counts[3],
			c.counts[4] + excluded.counts[4], c.counts[5] + excluded.counts[5]]`,
		[storeId, JSON.stringify(rows)]
	);
}

interface KnownRow {
	product: string;
	counts: Histogram;
	newest: ShownReview[];
	best: ShownReview[];
	[column: string]: unknown;
}

/**
 * What widgets have at hand of products' reviews, by key; of all products where none is named. Of each order the first
 * `most` are read from its index, however many there are.
 */
export async function productReviews(
	db: Db,
	storeId: number,
	most: number,
	products: readonly string[] | null = null
): Promise<Map<string, ProductReviews>> {
	// The order is by the columns themselves: what is selected as `date` is a text.
	const first = (order: string) =>
		`(SELECT coalesce(jsonb_agg(to_jsonb(r)), '[]') FROM (SELECT id, product, rating, title, body AS text, author,
			to_char(date AT TIME ZONE 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') AS date, verified, pictures, reply
			FROM review WHERE store_id = c.store_id AND product = c.product AND state = 'shown'
			ORDER BY ${order} LIMIT $2) r)`;
	const rows = await many<KnownRow>(
		db,
		`SELECT product, counts, ${first('review.date DESC, review.id')} AS newest, ${first('review.rating DESC, review.date DESC, review.id')} AS best
		 FROM review_counts c WHERE store_id = $1 AND ($3::text[] IS NULL OR product = ANY($3))`,
		[storeId, most, products]
	);
	return new Map(rows.map(({ product, counts, newest, best }) => [product, { histogram: counts, newest, best }]));
}

/** How many shown reviews a product has of each rating. */
export async function countsOf(db: Db, storeId: number, product: string): Promise<Histogram> {
	const row = await one<{ counts: Histogram }>(
		db,
		'SELECT counts FROM review_counts WHERE store_id = $1 AND product = $2',
		[storeId, product]
	);
	return row?.counts ?? NO_REVIEWS;
}
