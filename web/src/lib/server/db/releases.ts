import { upgradedRelease, type ReleaseContent } from '@anbau/core/placement';
import { many, one, type Db } from './pool.js';

/** A release without its content, as it is listed. */
export interface ReleaseSummary {
	number: number;
	note: string;
	pages: number;
	author: string;
	created: string;
}

export interface ReleaseRow extends ReleaseSummary {
	content: ReleaseContent;
}

type Row = ReleaseRow & { [column: string]: unknown };
const COLUMNS = 'number, note, pages, author, created, content';

const releaseOf = (row: Row | undefined): ReleaseRow | undefined =>
	row && { ...row, content: upgradedRelease(row.content) };

export async function latestRelease(db: Db, storeId: number): Promise<ReleaseRow | undefined> {
	const text = `SELECT ${COLUMNS} FROM release WHERE store_id = $1 ORDER BY number DESC LIMIT 1`;
	return releaseOf(await one<Row>(db, text, [storeId]));
}

export async function releaseByNumber(db: Db, storeId: number, number: number): Promise<ReleaseRow | undefined> {
	const text = `SELECT ${COLUMNS} FROM release WHERE store_id = $1 AND number = $2`;
	return releaseOf(await one<Row>(db, text, [storeId, number]));
}

export function listReleases(db: Db, storeId: number): Promise<ReleaseSummary[]> {
	return many<ReleaseSummary>(
		db,
		'SELECT number, note, pages, author, created FROM release WHERE store_id = $1 ORDER BY number DESC LIMIT 200',
		[storeId]
	);
}

export async function insertRelease(db: Db, storeId: number, release: Omit<ReleaseRow, 'created'>): Promise<void> {
	await db.query(
		'INSERT INTO release (store_id, number, content, note, pages, author) VALUES ($1, $2, $3, $4, $5, $6)',
		[storeId, release.number, JSON.stringify(release.content), release.note, release.pages, release.author]
	);
}
