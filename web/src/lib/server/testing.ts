import { join } from 'node:path';
import { runner } from 'node-pg-migrate';
import { database } from './db/pool.js';
import { insertStore, type Store } from './db/stores.js';
import type { Actor } from './db/users.js';
import { Problem } from './problem.js';

/** A store of its own in the tests' database, migrated if need be. */
export async function testStore(): Promise<{ store: Store; actor: Actor }> {
	const quiet = () => undefined;
	await runner({
		databaseUrl: process.env.DATABASE_URL ?? '',
		dir: join(import.meta.dirname, '../../../migrations'),
		direction: 'up',
		migrationsTable: 'migration',
		logger: { debug: quiet, info: quiet, warn: quiet, error: console.error }
	});
	const key = `test-${crypto.randomUUID()}`;
	const store = await insertStore(database(), {
		key,
		name: 'Test',
		url: 'http://127.0.0.1:9',
		currency: 'EUR',
		locale: 'en',
		zone: 'Europe/Berlin',
		visitorSecret: 'a secret of thirty-two characters'
	});
	return { store, actor: { storeId: store.id, name: 'Tester' } };
}

/** A text as a body that arrives in chunks. */
export async function* chunks(text: string, size = 64 * 1024): AsyncGenerator<Uint8Array> {
	const bytes = new TextEncoder().encode(text);
	for (let i = 0; i < bytes.length; i += size) yield bytes.subarray(i, i + size);
}

/** The problem that work ends with; null when it succeeds. Any other failure is thrown on. */
export async function problemOf(work: Promise<unknown>): Promise<Problem | null> {
	try {
		await work;
		return null;
	} catch (error) {
		if (error instanceof Problem) return error;
		throw error;
	}
}
