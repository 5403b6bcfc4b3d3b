import { exceptionName, type Exception } from '@anbau/core/placement';
import { many, one, type Db } from './pool.js';

/** An exception as it is kept. */
export interface ExceptionRow {
	id: number;
	exception: Exception;
	created: string;
	by: string;
}

type Row = ExceptionRow & { [column: string]: unknown };
const COLUMNS = 'id, doc AS exception, created, created_by AS by';

/** The exceptions of a store, of one product or one piece where these are given. */
export function findExceptions(
	db: Db,
	storeId: number,
	{ product = null, piece = null }: { product?: string | null; piece?: string | null } = {}
): Promise<ExceptionRow[]> {
	return many<Row>(
		db,
		`SELECT ${COLUMNS} FROM exception WHERE store_id = $1
		   AND ($2::text IS NULL OR doc ->> 'product' = $2) AND ($3::text IS NULL OR doc ->> 'piece' = $3)
		 ORDER BY doc ->> 'product', id`,
		[storeId, product, piece]
	);
}

/** Writes an exception, in place of one of the same name. */
export async function saveException(db: Db, storeId: number, exception: Exception, by: string): Promise<ExceptionRow> {
	const row = await one<Row>(
		db,
		`INSERT INTO exception (store_id, name, doc, created_by) VALUES ($1, $2, $3, $4)
		 ON CONFLICT (store_id, name) DO UPDATE SET doc = excluded.doc, created = now(), created_by = excluded.created_by
		 RETURNING ${COLUMNS}`,
		[storeId, exceptionName(exception), JSON.stringify(exception), by]
	);
	if (!row) throw new Error('the exception was not saved');
	return row;
}

/** Takes an exception away; answers it, undefined where there was none. */
export function deleteException(db: Db, storeId: number, id: number): Promise<ExceptionRow | undefined> {
	return one<Row>(db, `DELETE FROM exception WHERE store_id = $1 AND id = $2 RETURNING ${COLUMNS}`, [storeId, id]);
}
