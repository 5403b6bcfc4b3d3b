import { join } from 'node:path';
import { hash } from '@node-rs/argon2';
import { runner } from 'node-pg-migrate';
import { hashSecret } from './src/lib/server/auth.js';
import { database, transaction } from './src/lib/server/db/pool.js';
import { insertStore, setStoreUrl, storeByKey } from './src/lib/server/db/stores.js';
import { insertApiKey, insertUser } from './src/lib/server/db/users.js';

/** Brings the database to the newest schema, and makes the demo's store, owner and API key unless they are there. */
function setting(name: string): string {
	const value = process.env[name];
	if (!value) throw new Error(`${name} is not set; start Anbau with npm start`);
	return value;
}

async function ensureStore(): Promise<void> {
	const key = setting('STORE_KEY');
	const url = setting('SHOP_URL');
	await transaction(async (client) => {
		const known = await storeByKey(client, key);
		if (known) {
			if (known.url !== url) await setStoreUrl(client, known.id, url);
			return;
		}
		const store = await insertStore(client, {
			key,
			name: 'Hollowmere Garden Supply',
			url,
			currency: 'EUR',
			locale: 'en-GB',
			zone: 'Europe/Berlin',
			visitorSecret: setting('VISITOR_SECRET')
		});
		const passwordHash = await hash(setting('OWNER_PASSWORD'));
		await insertUser(client, {
			storeId: store.id,
			email: setting('OWNER_EMAIL'),
			name: 'Ada Hollowmere',
			passwordHash
		});
		await insertApiKey(client, hashSecret(setting('API_KEY')), store.id, 'API key of the demo');
	});
}

const quiet = () => undefined;
await runner({
	databaseUrl: setting('DATABASE_URL'),
	dir: join(import.meta.dirname, 'migrations'),
	direction: 'up',
	migrationsTable: 'migration',
	logger: { debug: quiet, info: quiet, warn: console.warn, error: console.error }
});
await ensureStore();
await database().end();
