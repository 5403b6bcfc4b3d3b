import type { ReleaseContent } from '@anbau/core/placement';
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

export function latestRelease(db: Db, storeId: number): Promise<ReleaseRow | undefined> {
	return one<ReleaseRow>(
		db,
		'SELECT number, note, pages, author, created, content FROM release WHERE store_id = $1 ORDER BY number DESC LIMIT 1',
		[storeId]
	);
}

export function releaseByNumber(db: Db, storeId: number, number: number): Promise<ReleaseRow | undefined> {
	return one<ReleaseRow>(
		db,
		'SELECT number, note, pages, author, created, content FROM release WHERE store_id = $1 AND number = $2',
		[storeId, number]
	);
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
