import { z } from 'zod';
import { judge, MOST_BYTES, type Finding } from '@anbau/core/media';
import { takeBytes, takeFile, type Taken } from '../bytes.js';
import { writeAudit } from '../db/audit.js';
import { allMedia, insertMedia, updateMedia, type MediaRow } from '../db/media.js';
import { database, transaction } from '../db/pool.js';
import { uploadOf } from '@anbau/core/pieces';
import type { Actor } from '../db/users.js';
import { probe } from '../probe.js';
import { Problem, readBy } from '../problem.js';
import { addressOf, usesOfMedia } from './mediaUse.js';

/** A picture or film on the shelf: its facts, what was found wrong, where it is used. */
export interface MediaView extends MediaRow {
	/** What a piece names it by. */
	address: string;
	findings: Finding[];
	/** What shows it: pieces as drafted or as published, products, films. */
	usedIn: string[];
}

/** What is on the shelf, the newest first. */
export async function listMedia(actor: Actor): Promise<MediaView[]> {
	const rows = (await allMedia(database(), actor.storeId)).filter(({ removed }) => !removed);
	const usedIn = await usesOfMedia(actor);
	return Promise.all(rows.map(async (row) => viewOf(row, await usedIn(row))));
}

function viewOf(row: MediaRow, usedIn: string[]): MediaView {
	return { ...row, address: addressOf(row), findings: judge(row.facts), usedIn };
}

/** Takes a file for the shelf: read on arrival, judged in plain words; the same bytes are kept once. */
export async function uploadMedia(actor: Actor, name: string, body: AsyncIterable<Uint8Array>): Promise<MediaView> {
	const short = shortName(name);
	return note(actor, short, await takeBytes('media', body, MOST_BYTES, (path, size) => probe(path, short, size)));
}

/** Takes a file that came in pieces and lies on the disk already. */
export async function takeMediaFile(actor: Actor, name: string, file: string): Promise<MediaView> {
	const short = shortName(name);
	return note(actor, short, await takeFile('media', file, (path, size) => probe(path, short, size)));
}

const shortName = (name: string) => name.slice(0, 200) || 'Untitled';

async function note(
	actor: Actor,
	name: string,
	{ sha256, found }: Taken<Pick<MediaRow, 'ending' | 'facts'>>
): Promise<MediaView> {
	const row = await transaction(async (client) => {
		const saved = await insertMedia(client, actor.storeId, { sha256, ...found, name, by: actor.name });
		await writeAudit(client, actor, 'upload', `media ${sha256}`, null, saved);
		return saved;
	});
	return viewOf(row, await (await usesOfMedia(actor))(row));
}

const uploadAddress = z
	.string()
	.refine((address) => address === '' || uploadOf(address) !== null, 'must be the address of an upload');

export const mediaPatchSchema = z.strictObject({
	name: z.string().trim().min(1, 'must not be empty').max(200).optional(),
	alt: z.string().trim().max(500).optional(),
	/** A film's still picture and captions: addresses of uploads, or nothing. */
	poster: uploadAddress.optional(),
	captions: uploadAddress.optional(),
	/** Takes it from the shelf, or puts it back there. */
	removed: z.boolean().optional()
});

/** Renames an upload, says what it shows, takes it from the shelf or puts it back. One that is used stays. */
export async function patchMedia(actor: Actor, sha256: string, input: unknown): Promise<MediaView> {
	const change = readBy(mediaPatchSchema, input, 'The media');
	const before = (await allMedia(database(), actor.storeId)).find((row) => row.sha256 === sha256);
	if (!before) throw new Problem('not-found', 404, 'There is no such picture or film.');
	const usedIn = await (await usesOfMedia(actor))(before);
	if (change.removed && usedIn.length > 0)
		throw new Problem('in-use', 409, `“${usedIn[0]}” shows it. Take it out there and publish first.`);
	const { name, alt, poster, captions, removed } = { ...before, ...change };
	return transaction(async (client) => {
		const row = await updateMedia(client, actor.storeId, sha256, { name, alt, poster, captions, removed });
		if (!row) throw new Problem('not-found', 404, 'There is no such picture or film.');
		await writeAudit(client, actor, 'save', `media ${sha256}`, before, row);
		return viewOf(row, usedIn);
	});
}
