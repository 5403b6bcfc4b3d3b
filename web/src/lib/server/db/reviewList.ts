import type { Histogram, Month, Review, ReviewOrder, ReviewState } from '@anbau/core/reviews';
import { many, one, type Db } from './pool.js';

/** Which reviews are asked for; null is any. `text` is looked for in title, text, author and product. */
export interface ReviewFilter {
	state: ReviewState | null;
	product: string | null;
	rating: number | null;
	verified: boolean | null;
	text: string;
}

const ORDERS: Record<ReviewOrder, string> = {
	newest: 'date DESC, id',
	oldest: 'date, id',
	best: 'rating DESC, date DESC, id',
	worst: 'rating, date DESC, id'
};

const COLUMNS = 'id, product, rating, title, body AS text, author, date, verified, pictures, state, reason, reply';
type Row = Review & { [column: string]: unknown };

/** The conditions of a filter, and what is filled into them; the first value is the store. */
function whereOf(storeId: number, { state, product, rating, verified, text }: ReviewFilter) {
	const values: unknown[] = [storeId];
	const conditions = ['store_id = $1'];
	const add = (condition: (place: string) => string, value: unknown) =>
		conditions.push(condition(`$${values.push(value)}`));
	if (state !== null) add((place) => `state = ${place}`, state);
	if (product !== null) add((place) => `product = ${place}`, product);
	if (rating !== null) add((place) => `rating = ${place}`, rating);
	if (verified !== null) add((place) => `verified = ${place}`, verified);
	const words = `%${text.trim().replace(/[\\%_]/g, '\\$&')}%`;
	if (text.trim() !== '') add((place) => `concat_ws(' ', title, body, author, product) ILIKE ${place}`, words);
	return { where: conditions.join(' AND '), values };
}

/** A page of reviews in an order, and how many there are in all. */
export async function listReviews(
	db: Db,
	storeId: number,
	filter: ReviewFilter,
	{ order, offset, limit }: { order: ReviewOrder; offset: number; limit: number }
): Promise<{ total: number; reviews: Review[] }> {
	const { where, values } = whereOf(storeId, filter);
	const count = await one<{ total: number }>(db, `SELECT count(*) AS total FROM review WHERE ${where}`, values);
	const sql = `SELECT ${COLUMNS} FROM review WHERE ${where} ORDER BY ${ORDERS[order]} OFFSET ${offset} LIMIT ${limit}`;
	return { total: count?.total ?? 0, reviews: await many<Row>(db, sql, values) };
}

/** How many reviews are in each state. */
export async function stateCounts(db: Db, storeId: number): Promise<Record<ReviewState, number>> {
	const sql = 'SELECT state, count(*) AS count FROM review WHERE store_id = $1 GROUP BY state';
	const rows = await many<{ state: ReviewState; count: number }>(db, sql, [storeId]);
	return { waiting: 0, shown: 0, hidden: 0, ...Object.fromEntries(rows.map(({ state, count }) => [state, count])) };
}

/** The months in which shown reviews came in, with how many of each rating; of one product or of all. */
export async function reviewMonths(db: Db, storeId: number, product: string | null): Promise<Month[]> {
	const count = (rating: number) => `count(*) FILTER (WHERE rating = ${rating})::int`;
	return many<{ month: string; histogram: Histogram }>(
		db,
		`SELECT to_char(date AT TIME ZONE 'UTC', 'YYYY-MM') AS month,
			ARRAY[${[1, 2, 3, 4, 5].map(count).join(', ')}] AS histogram
		 FROM review WHERE store_id = $1 AND state = 'shown' AND ($2::text IS NULL OR product = $2) GROUP BY 1`,
		[storeId, product]
	);
}

/** The counts of every product that has shown reviews. */
export function allCounts(db: Db, storeId: number): Promise<{ product: string; counts: Histogram }[]> {
	return many(db, 'SELECT product, counts FROM review_counts WHERE store_id = $1', [storeId]);
}

/** Every review of a filter, a part at a time, in the order of ids. */
export async function* everyReview(db: Db, storeId: number, filter: ReviewFilter): AsyncGenerator<Review[]> {
	const { where, values } = whereOf(storeId, filter);
	for (let after = ''; ;) {
		const place = `$${values.length + 1}`;
		const sql = `SELECT ${COLUMNS} FROM review WHERE ${where} AND id > ${place} ORDER BY id LIMIT 1000`;
		const reviews = await many<Row>(db, sql, [...values, after]);
		if (reviews.length === 0) return;
		yield reviews;
		after = reviews.at(-1)?.id ?? '';
	}
}
