import { stat } from 'node:fs/promises';
import { fileTypeFromFile } from 'file-type';
import { isValidOn } from '@anbau/core/catalog';
import { dayAt } from '@anbau/core/pieces';
import { pathOf, takeBytes, unfit } from '../bytes.js';
import { writeAudit } from '../db/audit.js';
import { insertFile, type StoredFile } from '../db/files.js';
import { tell } from '../db/notify.js';
import { transaction } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { Problem } from '../problem.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';

/** The most bytes of a document. */
const LIMIT = 50 * 1024 * 1024;

/** The media types of documents by the ending of their names. */
const TYPES: Record<string, string> = {
	pdf: 'application/pdf',
	png: 'image/png',
	jpg: 'image/jpeg',
	jpeg: 'image/jpeg',
	txt: 'text/plain',
	csv: 'text/csv',
	zip: 'application/zip',
	docx: 'application/vnd.openxmlformats-officedocument.wordprocessingml.document',
	xlsx: 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'
};
const PLAIN = ['text/plain', 'text/csv'];

/** An uploaded document as it is answered: `address` is what a value of type documents names. */
export interface UploadedFile extends StoredFile {
	address: string;
}

/** Takes an uploaded document: streamed to disk, named by its SHA-256, its bytes held against what its name says. */
export async function uploadFile(actor: Actor, name: string, body: AsyncIterable<Uint8Array>): Promise<UploadedFile> {
	const type = typeOf(name);
	const { sha256, size } = await takeBytes('files', body, LIMIT, (path) => demandType(path, type, name));
	const file = { sha256, name: name.slice(0, 200), type, size };
	await transaction(async (client) => {
		await insertFile(client, actor.storeId, file);
		await writeAudit(client, actor, 'upload', `file ${sha256}`, null, file);
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'catalog' });
	});
	await storeStates.reloadCatalog(actor.storeId);
	return { ...file, address: `file:${sha256}` };
}

function typeOf(name: string): string {
	const ending = /\.([a-z0-9]+)$/i.exec(name)?.[1]?.toLowerCase() ?? '';
	const type = TYPES[ending];
	if (!type) throw unfit(`“${name}” is not a document that is taken: ${Object.keys(TYPES).join(', ')}.`);
	return type;
}

/** A file whose bytes are of another type than its name says is refused. */
async function demandType(path: string, type: string, name: string): Promise<void> {
	const found = (await fileTypeFromFile(path))?.mime;
	// Texts have no signature; whatever has one is none.
	if (PLAIN.includes(type) ? found === undefined : found === type) return;
	const is = found ?? 'no document of any kind that is known';
	throw unfit(`“${name}” is not what its name says: its content is ${is}.`);
}

/** A document as the storefront gets it: the path of its bytes; null when there is none, and a problem past its day. */
export async function publicFile(
	storeKey: string,
	sha256: string,
	now: number
): Promise<{ path: string; file: StoredFile } | null> {
	const state = await storeStates.byKey(storeKey, now);
	const until = state?.catalog.documents.lastDay(sha256);
	const file = state?.catalog.documents.file(sha256);
	if (!state || !file || until === undefined) return null;
	if (until !== null && !isValidOn({ until }, dayAt(now, state.store.zone)))
		throw new Problem('gone', 410, 'This document was valid until a day that has passed.');
	const path = pathOf('files', sha256);
	await stat(path);
	return { path, file };
}
