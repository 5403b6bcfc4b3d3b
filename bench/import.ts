import { once } from 'node:events';
import { from as copyFrom, to as copyTo } from 'pg-copy-streams';
import { CATALOG_COLUMNS } from '@anbau/core/catalog';
import { database } from '../web/src/lib/server/db/pool.js';
import type { Store } from '../web/src/lib/server/db/stores.js';
import type { Actor } from '../web/src/lib/server/db/users.js';
import { chunks, testStore } from '../web/src/lib/server/testing.js';
import { importCatalog } from '../web/src/lib/server/work/importCatalog.js';
import { Job } from '../web/src/lib/server/work/jobs.js';
import { median, slower, timeAsync, type Result } from './measure.js';

const ROWS = 100_000;

function csv(): string {
	const lines = Array.from({ length: ROWS }, (_, i) =>
		[
			`p${i}`,
			`SKU-${i}`,
			`"Product, number ${i}"`,
			`A short summary of product ${i}`,
			`"<p>A longer text with ""quotes"" of ${i}</p>"`,
			`${i % 500}.90`,
			`${(i % 500) + 10}.00`,
			'EUR',
			i % 50,
			'InStock',
			'yes',
			`Brand ${i % 40}`,
			'Seeds > Vegetables',
			`tag-${i % 300}|part: HM-${i}|peat-free`,
			`https://shop.example/i/${i}.svg`,
			`2026-01-0${(i % 9) + 1}`,
			i % 90,
			`https://shop.example/products/p${i}`
		].join(',')
	);
	return [CATALOG_COLUMNS.join(','), ...lines, ''].join('\n');
}

/** The rows of a store's products as COPY writes them. */
async function copiedRows(storeId: number): Promise<Buffer> {
	const client = await database().connect();
	try {
		const stream = client.query(copyTo(`COPY (SELECT * FROM product WHERE store_id = ${storeId}) TO STDOUT`));
		return Buffer.concat((await stream.toArray()) as Buffer[]);
	} finally {
		client.release();
	}
}

/** A bare COPY of rows into a table like that of the products, with its key. */
async function bareCopy(rows: Buffer): Promise<void> {
	const client = await database().connect();
	try {
		await client.query('DROP TABLE IF EXISTS bare');
		await client.query('CREATE TABLE bare (LIKE product INCLUDING ALL)');
		const stream = client.query(copyFrom('COPY bare FROM STDIN'));
		for (let at = 0; at < rows.length; at += 1 << 17) {
			if (!stream.write(rows.subarray(at, at + (1 << 17)))) await once(stream, 'drain');
		}
		stream.end();
		await once(stream, 'finish');
	} finally {
		client.release();
	}
}

/**
 * Import of 100,000 CSV rows into an empty store – read, checked, folded, in one transaction – against a bare COPY of
 * the very rows that it leaves in the table.
 */
export async function benchImport(): Promise<Result[]> {
	const text = csv();
	const ours: number[] = [];
	const reference: number[] = [];
	// Turn by turn, so that a slow minute of the machine weighs on both.
	for (let turn = 0; turn < 5; turn++) {
		const { store, actor } = await testStore();
		ours.push(await timeAsync(1, () => importWhole(store, actor, text)));
		const rows = await copiedRows(store.id);
		reference.push(await timeAsync(1, () => bareCopy(rows)));
	}
	return [slower(`import of ${ROWS} CSV rows, against a bare COPY`, median(ours), median(reference), 3)];
}

async function importWhole(store: Store, actor: Actor, text: string): Promise<void> {
	const { inserted, rejected } = await importCatalog(store, actor, chunks(text), 'csv', 'upsert', new Job(null));
	if (inserted !== ROWS || rejected.length > 0) throw new Error('the import did not take every row');
}
