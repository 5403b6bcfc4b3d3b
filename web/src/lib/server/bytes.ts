import { createHash, randomUUID } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdir, rename, rm } from 'node:fs/promises';
import { once } from 'node:events';
import { join } from 'node:path';
import { finished } from 'node:stream/promises';
import { Problem } from './problem.js';

/** Which uploads: documents of products, or media of pieces. */
export type Shelf = 'files' | 'media';

/** Where a shelf lies. */
export function folder(shelf: Shelf): string {
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
		return await settle(shelf, waiting, { sha256, size }, examine);
	} finally {
		await rm(waiting, { force: true });
	}
}

/** Takes a file that lies on the disk already, in pieces that came one after the other; it moves to the shelf. */
export async function takeFile<Found>(
	shelf: Shelf,
	path: string,
	examine: (path: string, size: number) => Promise<Found>
): Promise<Taken<Found>> {
	return settle(shelf, path, await digest(path), examine);
}

async function settle<Found>(
	shelf: Shelf,
	path: string,
	before: { sha256: string; size: number },
	examine: (path: string, size: number) => Promise<Found>
): Promise<Taken<Found>> {
	if (before.size === 0) throw unfit('The file is empty.');
	const found = await examine(path, before.size);
	// It may have been cleaned by the examination; it is named by what it is now.
	const { sha256, size } = before.size <= MOST_CLEANED ? await digest(path) : before;
	await mkdir(join(folder(shelf), sha256.slice(0, 2)), { recursive: true });
	await rename(path, pathOf(shelf, sha256));
	return { sha256, size, found };
}

/** No file that is cleaned when it comes is larger, in bytes. */
const MOST_CLEANED = 8 * 1024 * 1024;

async function digest(path: string): Promise<{ sha256: string; size: number }> {
	const hash = createHash('sha256');
	let size = 0;
	for await (const chunk of createReadStream(path)) {
		hash.update(chunk as Uint8Array);
		size += (chunk as Uint8Array).byteLength;
	}
	return { sha256: hash.digest('hex'), size };
}

/** Writes a body to a file and tells its SHA-256; a disk that is full is a problem that says so. */
export async function receive(
	path: string,
	body: AsyncIterable<Uint8Array>,
	limit: number
): Promise<{ sha256: string; size: number }> {
	const hash = createHash('sha256');
	const stream = createWriteStream(path);
	const failed = new Promise<never>((_, reject) => stream.once('error', (error) => reject(diskProblem(error))));
	failed.catch(() => undefined);
	let size = 0;
	try {
		for await (const chunk of body) {
			size += chunk.byteLength;
			if (size > limit) {
				const most = `${Math.round(limit / 1024 / 1024)} MB`;
				throw new Problem('too-large', 413, `The file is larger than ${most}, the most that is taken here.`);
			}
			hash.update(chunk);
			if (!stream.write(chunk)) await Promise.race([once(stream, 'drain'), failed]);
		}
		stream.end();
		await Promise.race([finished(stream), failed]);
	} finally {
		stream.destroy();
	}
	return { sha256: hash.digest('hex'), size };
}

/** What a failure to write means for whoever uploads. */
export function diskProblem(error: Error): Error {
	const isFull = 'code' in error && (error.code === 'ENOSPC' || error.code === 'EDQUOT');
	return isFull ? new Problem('disk-full', 507, 'The server’s disk is full; nothing of the file was kept.') : error;
}

/** A file that is not taken, and why. */
export function unfit(message: string): Problem {
	return new Problem('unsupported', 415, message, [{ at: 'the file', message }]);
}
