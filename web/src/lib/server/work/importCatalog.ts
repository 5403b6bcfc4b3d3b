import { setImmediate } from 'node:timers/promises';
import { allAttributes } from '../db/attributes.js';
import { CatalogStage, saveCategories } from '../db/catalogImport.js';
import { writeAudit } from '../db/audit.js';
import { tell } from '../db/notify.js';
import { database, lockStore, transaction } from '../db/pool.js';
import type { Store } from '../db/stores.js';
import type { Actor } from '../db/users.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';
import { Utf8Pieces } from '../utf8Pieces.js';
import { CsvCatalogRows, NdjsonCatalogRows, type CatalogRows, type Rejection } from './catalogRows.js';
import type { Job } from './jobs.js';

/** What an import did. `rejected` lists the first 1,000 faults, `rejectedTotal` counts them all. */
export interface ImportResult {
	inserted: number;
	updated: number;
	unchanged: number;
	removed: number;
	rejected: Rejection[];
	rejectedTotal: number;
}

export type CatalogFormat = 'csv' | 'ndjson';
export type ImportMode = 'upsert' | 'replace';

const LISTED_REJECTIONS = 1000;

/**
 * Takes a catalogue file into the store in one transaction: rows are read as they arrive, staged, and merged at the
 * end. A row that cannot be read is listed, the others go in. In mode `replace` products that the file does not
 * name are removed, unless a row was rejected: what it meant is not known, so nothing is removed then.
 */
export async function importCatalog(
	store: Store,
	actor: Actor,
	body: AsyncIterable<Uint8Array>,
	format: CatalogFormat,
	mode: ImportMode,
	job: Job
): Promise<ImportResult> {
	const definitions = new Map((await allAttributes(database(), store.id)).map((one) => [one.code, one]));
	const Rows = format === 'csv' ? CsvCatalogRows : NdjsonCatalogRows;
	const rows = new Rows(store.currency, (code) => definitions.get(code));
	const result = await transaction(async (client) => {
		await lockStore(client, store.id, 'catalog');
		const stage = await CatalogStage.open(client, store);
		try {
			await readInto(stage, rows, body, job);
		} catch (error) {
			await stage.abort();
			throw error;
		}
		const counts = await stage.finish(mode === 'replace' && rows.rejected.length === 0);
		await saveCategories(client, store.id, [...rows.categories.values()]);
		await writeAudit(client, actor, 'import', 'catalog', null, counts);
		job.checkpoint();
		await tell(client, { process: PROCESS_ID, store: store.id, what: 'catalog' });
		return { ...counts, rejected: rows.rejected.slice(0, LISTED_REJECTIONS), rejectedTotal: rows.rejected.length };
	});
	await storeStates.reloadCatalog(store.id);
	return result;
}

async function readInto(
	stage: CatalogStage,
	rows: CatalogRows,
	body: AsyncIterable<Uint8Array>,
	job: Job
): Promise<void> {
	const decoder = new Utf8Pieces();
	const take = async (changes: ReturnType<CatalogRows['push']>) => {
		job.rows += changes.length;
		job.checkpoint();
		await stage.add(changes);
		// The database gets its rows, and other requests their turn, between pieces.
		await setImmediate();
	};
	for await (const chunk of body) {
		job.bytes += chunk.byteLength;
		const piece = decoder.push(chunk);
		if (piece !== '') await take(rows.push(piece));
	}
	await take(rows.push(decoder.end()));
	await take(rows.end());
}
