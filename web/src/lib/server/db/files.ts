import { many, type Db } from './pool.js';

/** An uploaded document. */
export interface StoredFile {
	sha256: string;
	name: string;
	type: string;
	size: number;
}

type Row = StoredFile & { [column: string]: unknown };

export function allFiles(db: Db, storeId: number): Promise<StoredFile[]> {
	return many<Row>(db, 'SELECT sha256, name, type, size FROM file WHERE store_id = $1', [storeId]);
}

/** Notes an uploaded file; one with the same bytes keeps its first name. */
export async function insertFile(db: Db, storeId: number, { sha256, name, type, size }: StoredFile): Promise<void> {
	await db.query(
		`INSERT INTO file (store_id, sha256, name, type, size) VALUES ($1, $2, $3, $4, $5)
		 ON CONFLICT (store_id, sha256) DO NOTHING`,
		[storeId, sha256, name, type, size]
	);
}
