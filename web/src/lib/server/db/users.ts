import { one, type Db } from './pool.js';

/** A person who signs in, or a key that acts for the store. */
export interface Actor {
	storeId: number;
	name: string;
}

export interface User extends Actor {
	id: number;
	email: string;
	passwordHash: string;
}

const COLUMNS = 'u.id, u.store_id AS "storeId", u.email, u.name, u.password_hash AS "passwordHash"';

export function userByEmail(db: Db, email: string): Promise<User | undefined> {
	return one<User>(db, `SELECT ${COLUMNS} FROM app_user u WHERE lower(u.email) = lower($1)`, [email]);
}

export async function insertUser(db: Db, user: Omit<User, 'id'>): Promise<void> {
	await db.query('INSERT INTO app_user (store_id, email, name, password_hash) VALUES ($1, $2, $3, $4)', [
		user.storeId,
		user.email,
		user.name,
		user.passwordHash
	]);
}

export function userBySession(db: Db, tokenHash: Buffer): Promise<User | undefined> {
	return one<User>(
		db,
		`SELECT ${COLUMNS} FROM session s JOIN app_user u ON u.id = s.user_id WHERE s.token_hash = $1 AND s.expires > now()`,
		[tokenHash]
	);
}

export async function insertSession(db: Db, tokenHash: Buffer, userId: number, expires: Date): Promise<void> {
	await db.query('DELETE FROM session WHERE expires <= now()');
	await db.query('INSERT INTO session (token_hash, user_id, expires) VALUES ($1, $2, $3)', [
		tokenHash,
		userId,
		expires
	]);
}

export async function deleteSession(db: Db, tokenHash: Buffer): Promise<void> {
	await db.query('DELETE FROM session WHERE token_hash = $1', [tokenHash]);
}

export function actorByKey(db: Db, keyHash: Buffer): Promise<Actor | undefined> {
	return one<Actor>(db, 'SELECT store_id AS "storeId", name FROM api_key WHERE hash = $1', [keyHash]);
}

export async function insertApiKey(db: Db, keyHash: Buffer, storeId: number, name: string): Promise<void> {
	await db.query('INSERT INTO api_key (hash, store_id, name) VALUES ($1, $2, $3)', [keyHash, storeId, name]);
}
