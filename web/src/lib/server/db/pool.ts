import pg from 'pg';

// Counts and money fit a double; a bigint as text would have to be turned into one at every border.
pg.types.setTypeParser(pg.types.builtins.INT8, Number);
pg.types.setTypeParser(pg.types.builtins.TIMESTAMPTZ, (text) => new Date(text).toISOString());

/** Anything that runs a statement: the pool, or a client inside a transaction. */
export type Db = Pick<pg.ClientBase, 'query'>;

let pool: pg.Pool | undefined;

/** The process's connection pool, made at first use from DATABASE_URL. */
export function database(): pg.Pool {
	if (!pool) {
		const connectionString = process.env.DATABASE_URL;
		if (!connectionString) throw new Error('DATABASE_URL is not set; start Anbau with npm start');
		pool = new pg.Pool({ connectionString, max: 10, connectionTimeoutMillis: 3000 });
		// An idle connection that breaks is replaced by the pool; without a listener it would end the process.
		pool.on('error', () => undefined);
	}
	return pool;
}

/** Runs work in one transaction: committed when it returns, rolled back when it throws. */
export async function transaction<T>(work: (client: pg.PoolClient) => Promise<T>): Promise<T> {
	const client = await database().connect();
	let broken: Error | undefined;
	try {
		await client.query('BEGIN');
		const result = await work(client);
		await client.query('COMMIT');
		return result;
	} catch (error) {
		await client.query('ROLLBACK').catch((rollback: unknown) => {
			broken = rollback instanceof Error ? rollback : new Error(String(rollback));
		});
		throw error;
	} finally {
		client.release(broken);
	}
}

/**
 * Takes the store's lock until the transaction ends, so that its releases and imports follow one another, and keeps
 * the store itself from going meanwhile.
 */
export async function lockStore(db: Db, storeId: number, purpose: 'catalog' | 'release'): Promise<void> {
	await db.query('SELECT pg_advisory_xact_lock($1, $2)', [storeId, purpose === 'catalog' ? 1 : 2]);
	const store = await db.query('SELECT FROM store WHERE id = $1 FOR KEY SHARE', [storeId]);
	if (store.rowCount !== 1) throw new Error(`There is no store ${storeId}`);
}

/** The first row of a result, undefined when there is none. */
export async function one<T extends pg.QueryResultRow>(
	db: Db,
	text: string,
	values: unknown[]
): Promise<T | undefined> {
	const result = await db.query<T>(text, values);
	return result.rows[0];
}

/** All rows of a result. */
export async function many<T extends pg.QueryResultRow>(db: Db, text: string, values: unknown[]): Promise<T[]> {
	const result = await db.query<T>(text, values);
	return result.rows;
}
