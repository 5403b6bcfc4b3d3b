import { stat } from 'node:fs/promises';
import { z } from 'zod';
import { judge, MOST_BYTES, type Finding } from '@anbau/core/media';
import { pathOf, takeBytes } from '../bytes.js';
import { writeAudit } from '../db/audit.js';
import { allMedia, insertMedia, updateMedia, type MediaRow } from '../db/media.js';
import { allPieces } from '../db/pieces.js';
import { database, transaction } from '../db/pool.js';
import { latestRelease } from '../db/releases.js';
import type { Actor } from '../db/users.js';
import { MEDIA_TYPES, probe } from '../probe.js';
import { Problem, readBy } from '../problem.js';

/** A picture or film on the shelf: its facts, what was found wrong, where it is used. */
export interface MediaView extends MediaRow {
	/** What a piece names it by. */
	address: string;
	findings: Finding[];
	/** Names of the pieces that show it, as drafted or as published. */
	usedIn: string[];
}

/** What is on the shelf, the newest first. */
export async function listMedia(actor: Actor): Promise<MediaView[]> {
	const rows = (await allMedia(database(), actor.storeId)).filter(({ removed }) => !removed);
	const usedIn = await uses(actor);
	return rows.map((row) => viewOf(row, usedIn(row.sha256)));
}

function viewOf(row: MediaRow, usedIn: string[]): MediaView {
	return { ...row, address: `media:${row.sha256}.${row.ending}`, findings: judge(row.facts), usedIn };
}

/** Which pieces name an upload, the published ones too. */
async function uses(actor: Actor): Promise<(sha256: string) => string[]> {
	const db = database();
	const drafts = (await allPieces(db, actor.storeId)).filter(({ removed }) => !removed).map(({ doc }) => doc);
	const published = Object.values((await latestRelease(db, actor.storeId))?.content.pieces ?? {});
	const written = [...drafts, ...published].map((piece) => ({ name: piece.name, text: JSON.stringify(piece) }));
	return (sha256) => [...new Set(written.filter(({ text }) => text.includes(sha256)).map(({ name }) => name))];
}

/** Takes a picture or a film: read on arrival, judged in plain words; the same bytes are kept once. */
export async function uploadMedia(actor: Actor, name: string, body: AsyncIterable<Uint8Array>): Promise<MediaView> {
	const short = name.slice(0, 200) || 'Untitled';
	const { sha256, found } = await takeBytes('media', body, MOST_BYTES, (path, size) => probe(path, short, size));
	const row = await transaction(async (client) => {
		const saved = await insertMedia(client, actor.storeId, { sha256, ...found, name: short, by: actor.name });
		await writeAudit(client, actor, 'upload', `media ${sha256}`, null, saved);
		return saved;
	});
	return viewOf(row, (await uses(actor))(sha256));
}

export const mediaPatchSchema = z.strictObject({
	name: z.string().trim().min(1, 'must not be empty').max(200).optional(),
	alt: z.string().trim().max(500).optional(),
	/** Takes it from the shelf, or puts it back there. */
	removed: z.boolean().optional()
});

/** Renames an upload, says what it shows, takes it from the shelf or puts it back. One that is used stays. */
export async function patchMedia(actor: Actor, sha256: string, input: unknown): Promise<MediaView> {
	const change = readBy(mediaPatchSchema, input, 'The media');
	const before = (await allMedia(database(), actor.storeId)).find((row) => row.sha256 === sha256);
	if (!before) throw new Problem('not-found', 404, 'There is no such picture or film.');
	const usedIn = (await uses(actor))(sha256);
	if (change.removed && usedIn.length > 0)
		throw new Problem('in-use', 409, `“${usedIn[0]}” shows it. Take it out there and publish first.`);
	const { name = before.name, alt = before.alt, removed = before.removed } = change;
	return transaction(async (client) => {
		const row = await updateMedia(client, actor.storeId, sha256, { name, alt, removed });
		if (!row) throw new Problem('not-found', 404, 'There is no such picture or film.');
		await writeAudit(client, actor, 'save', `media ${sha256}`, before, row);
		return viewOf(row, usedIn);
	});
}

/** The bytes of an upload as the storefront gets them; null where there are none. */
export async function publicMedia(file: string): Promise<{ path: string; type: string; size: number } | null> {
	const [, sha256 = '', ending = ''] = /^([0-9a-f]{64})\.([a-z0-9]+)$/.exec(file) ?? [];
	const type = Object.hasOwn(MEDIA_TYPES, ending) ? MEDIA_TYPES[ending] : undefined;
	if (!type) return null;
	const path = pathOf('media', sha256);
	const found = await stat(path).catch(() => null);
	return found && { path, type, size: found.size };
}
