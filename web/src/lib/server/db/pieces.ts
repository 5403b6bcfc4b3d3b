import { upgradedPiece, type Piece } from '@anbau/core/pieces';
import { many, one, type Db } from './pool.js';

/** A piece's draft row. */
export interface PieceRow {
	slug: string;
	doc: Piece;
	on: boolean;
	version: number;
	removed: boolean;
	created: string;
	updated: string;
	updatedBy: string;
}

const COLUMNS = 'slug, doc, "on", version, removed, created, updated, updated_by AS "updatedBy"';

type Row = PieceRow & { [column: string]: unknown };

const pieceOf = (row: Row): PieceRow => ({ ...row, doc: upgradedPiece(row.doc) });

export async function allPieces(db: Db, storeId: number): Promise<PieceRow[]> {
	const rows = await many<Row>(db, `SELECT ${COLUMNS} FROM piece WHERE store_id = $1 ORDER BY slug`, [storeId]);
	return rows.map(pieceOf);
}

export async function pieceBySlug(db: Db, storeId: number, slug: string): Promise<PieceRow | undefined> {
	const row = await one<Row>(db, `SELECT ${COLUMNS} FROM piece WHERE store_id = $1 AND slug = $2`, [storeId, slug]);
	return row && pieceOf(row);
}

/** The row locked until the transaction ends. */
export async function lockedPiece(db: Db, storeId: number, slug: string): Promise<PieceRow | undefined> {
	const text = `SELECT ${COLUMNS} FROM piece WHERE store_id = $1 AND slug = $2 FOR UPDATE`;
	const row = await one<Row>(db, text, [storeId, slug]);
	return row && pieceOf(row);
}

/** Writes a draft, new or over the one there; a deleted one comes back. */
export async function savePiece(
	db: Db,
	storeId: number,
	slug: string,
	doc: Piece,
	on: boolean,
	by: string
): Promise<PieceRow> {
	const row = await one<Row>(
		db,
		`INSERT INTO piece (store_id, slug, doc, "on", updated_by) VALUES ($1, $2, $3, $4, $5)
		 ON CONFLICT (store_id, slug) DO UPDATE SET doc = excluded.doc, "on" = excluded."on", version = piece.version + 1,
		   removed = false, updated = now(), updated_by = excluded.updated_by
		 RETURNING ${COLUMNS}`,
		[storeId, slug, JSON.stringify(doc), on, by]
	);
	if (!row) throw new Error('the piece was not saved');
	return row;
}

export async function setPieceOn(db: Db, storeId: number, slug: string, on: boolean, by: string): Promise<void> {
	await db.query(
		`UPDATE piece SET "on" = $3, version = version + 1, updated = now(), updated_by = $4 WHERE store_id = $1 AND slug = $2`,
		[storeId, slug, on, by]
	);
}

export async function markPieceRemoved(db: Db, storeId: number, slug: string, by: string): Promise<void> {
	await db.query(
		`UPDATE piece SET removed = true, version = version + 1, updated = now(), updated_by = $3 WHERE store_id = $1 AND slug = $2`,
		[storeId, slug, by]
	);
}

export async function deletePieces(db: Db, storeId: number, slugs: string[]): Promise<void> {
	await db.query('DELETE FROM piece WHERE store_id = $1 AND slug = ANY($2)', [storeId, slugs]);
}

export async function offSlugs(db: Db, storeId: number): Promise<string[]> {
	const rows = await many<{ slug: string }>(db, 'SELECT slug FROM piece WHERE store_id = $1 AND NOT "on"', [storeId]);
	return rows.map((row) => row.slug);
}
