import { setImmediate } from 'node:timers/promises';
import { csvLine } from '@anbau/core/catalog';
import { REVIEW_COLUMNS, type ColumnMatch, type Review } from '@anbau/core/reviews';
import { writeAudit } from '../db/audit.js';
import { tell } from '../db/notify.js';
import { database, transaction, type Db } from '../db/pool.js';
import { everyReview, type ReviewFilter } from '../db/reviewList.js';
import { reviewsByIds } from '../db/reviews.js';
import type { Actor } from '../db/users.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';
import { Utf8Pieces } from '../utf8Pieces.js';
import type { Rejection } from './catalogRows.js';
import type { Job } from './jobs.js';
import { ReviewRows, type ReadRow } from './reviewRows.js';
import { writeReviews } from './reviews.js';

export type ReviewFormat = 'csv' | 'ndjson';

/** What an import did, or would do. `rejected` lists the first 1,000 faults, `rejectedTotal` counts them all. */
export interface ReviewImport {
	inserted: number;
	updated: number;
	unchanged: number;
	rejected: Rejection[];
	rejectedTotal: number;
	/** The file's own columns and which of ours each was taken for; null for NDJSON. */
	header: string[] | null;
	match: ColumnMatch;
	/** The first reviews as they were read. */
	sample: Review[];
}

export interface ReviewImportOptions {
	format: ReviewFormat;
	/** Which column is which; null matches them by name. */
	match: ColumnMatch | null;
	/** Whether it only says what would happen. */
	dry: boolean;
}

const LISTED = 1000;
const BATCH = 500;
const SAMPLE = 5;

/** Takes a file of reviews in one transaction; a row that cannot be read is listed and the others go in. */
export async function importReviews(
	actor: Actor,
	body: AsyncIterable<Uint8Array>,
	{ format, match, dry }: ReviewImportOptions,
	job: Job
): Promise<ReviewImport> {
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const isProduct = (key: string) => catalog.product(key) !== undefined;
	const rows = new ReviewRows(format, { now: Date.now(), isProduct }, match);
	const counts = { inserted: 0, updated: 0, unchanged: 0 };
	const sample: Review[] = [];
	await transaction(async (client) => {
		const take = async (found: ReadRow[]) => {
			job.rows += found.length;
			sample.push(...found.slice(0, SAMPLE - sample.length).map(({ review }) => review));
			for (let i = 0; i < found.length; i += BATCH) {
				job.checkpoint();
				await takeBatch(client, actor.storeId, found.slice(i, i + BATCH), counts, dry);
			}
		};
		await readAll(rows, body, job, take);
		if (dry) return;
		const { rejected } = rows;
		await writeAudit(client, actor, 'import', 'reviews', null, { ...counts, rejected: rejected.length });
		job.checkpoint();
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'reviews' });
	});
	if (!dry) await storeStates.reloadReviews(actor.storeId);
	const { rejected, header, match: taken } = rows;
	return {
		...counts,
		rejected: rejected.slice(0, LISTED),
		rejectedTotal: rejected.length,
		header,
		match: taken,
		sample
	};
}

async function readAll(
	rows: ReviewRows,
	body: AsyncIterable<Uint8Array>,
	job: Job,
	take: (found: ReadRow[]) => Promise<void>
): Promise<void> {
	const decoder = new Utf8Pieces();
	for await (const chunk of body) {
		job.bytes += chunk.byteLength;
		const piece = decoder.push(chunk);
		if (piece !== '') await take(rows.push(piece));
		await setImmediate();
	}
	await take(rows.push(decoder.end()));
	await take(rows.end());
}

async function takeBatch(
	client: Db,
	storeId: number,
	batch: ReadRow[],
	counts: { inserted: number; updated: number; unchanged: number },
	dry: boolean
): Promise<void> {
	const ids = batch.map(({ review }) => review.id);
	const known = new Map((await reviewsByIds(client, storeId, ids, 'FOR UPDATE')).map((one) => [one.id, one]));
	const changed = batch.filter(({ review }) => !same(known.get(review.id), review)).map(({ review }) => review);
	const before = changed.flatMap(({ id }) => known.get(id) ?? []);
	counts.updated += before.length;
	counts.inserted += changed.length - before.length;
	counts.unchanged += batch.length - changed.length;
	if (!dry) await writeReviews(client, storeId, before, changed);
}

function same(known: Review | undefined, review: Review): boolean {
	return known !== undefined && REVIEW_COLUMNS.every((name) => String(known[name]) === String(review[name]));
}

/** Every review of a filter as a file, a part at a time: CSV (RFC 4180) or NDJSON, as an import reads it. */
export async function* reviewsFile(actor: Actor, filter: ReviewFilter, format: ReviewFormat): AsyncGenerator<string> {
	if (format === 'csv') yield `${csvLine(REVIEW_COLUMNS)}\r\n`;
	for await (const reviews of everyReview(database(), actor.storeId, filter))
		yield reviews.map((one) => (format === 'csv' ? csvOf(one) : `${JSON.stringify(one)}\n`)).join('');
}

function csvOf(review: Review): string {
	const cells = REVIEW_COLUMNS.map((name) => {
		const value = review[name];
		return Array.isArray(value) ? value.join('|') : String(value);
	});
	return `${csvLine(cells)}\r\n`;
}
