import { createHash, randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { mkdir, rename, rm } from 'node:fs/promises';
import { once } from 'node:events';
import { join } from 'node:path';
import { Problem } from './problem.js';

/** Which uploads: documents of products, or media of pieces. */
export type Shelf = 'files' | 'media';

function folder(shelf: Shelf): string {
	const data = process.env.ANBAU_DATA_FOLDER;
	if (!data) throw new Error('ANBAU_DATA_FOLDER is not set; start Anbau with npm start');
	return join(data, shelf);
}

/** Where the bytes of an upload lie. */
export function pathOf(shelf: Shelf, sha256: string): string {
	return join(folder(shelf), sha256.slice(0, 2), sha256);
}

/** Bytes that were taken, with what was found out about them. */
export interface Taken<Found> {
	sha256: string;
	size: number;
	found: Found;
}

/**
 * Takes an upload: streamed to disk, examined there, and named by its SHA-256; the same bytes are kept once. What the
 * examination throws, or an upload that breaks off, leaves nothing behind.
 */
export async function takeBytes<Found>(
	shelf: Shelf,
	body: AsyncIterable<Uint8Array>,
	limit: number,
	examine: (path: string, size: number) => Promise<Found>
): Promise<Taken<Found>> {
	const waiting = join(folder(shelf), `${randomUUID()}.part`);
	await mkdir(folder(shelf), { recursive: true });
	try {
		const { sha256, size } = await receive(waiting, body, limit);
		if (size === 0) throw unfit('The file is empty.');
		const found = await examine(waiting, size);
		await mkdir(join(folder(shelf), sha256.slice(0, 2)), { recursive: true });
		await rename(waiting, pathOf(shelf, sha256));
		return { sha256, size, found };
	} finally {
		await rm(waiting, { force: true });
	}
}

async function receive(
	path: string,
	body: AsyncIterable<Uint8Array>,
	limit: number
): Promise<{ sha256: string; size: number }> {
	const hash = createHash('sha256');
	const stream = createWriteStream(path);
	let size = 0;
	try {
		for await (const chunk of body) {
			size += chunk.byteLength;
			if (size > limit) {
				const most = `${Math.round(limit / 1024 / 1024)} MB`;
				throw new Problem('too-large', 413, `The file is larger than ${most}, the most that is taken here.`);
			}
			hash.update(chunk);
			if (!stream.write(chunk)) await once(stream, 'drain');
		}
	} finally {
		stream.end();
		await once(stream, 'close');
	}
	return { sha256: hash.digest('hex'), size };
}

/** A file that is not taken, and why. */
export function unfit(message: string): Problem {
	return new Problem('unsupported', 415, message, [{ at: 'the file', message }]);
}
