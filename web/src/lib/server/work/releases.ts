import { z } from 'zod';
import { canonicalJson } from '@anbau/core/pieces';
import {
	EMPTY_RELEASE,
	impact,
	isOfTabs,
	ownHooks,
	type Exception,
	type Impact,
	type ReleaseContent,
	type ThemeHook
} from '@anbau/core/placement';
import { writeAudit } from '../db/audit.js';
import { allAttributes } from '../db/attributes.js';
import { findExceptions } from '../db/exceptions.js';
import { allHouseTabs } from '../db/houseTabs.js';
import { tell } from '../db/notify.js';
import { allPieces, deletePieces, type PieceRow } from '../db/pieces.js';
import { database, lockStore, transaction, type Db } from '../db/pool.js';
import { insertRelease, latestRelease, listReleases, releaseByNumber, type ReleaseSummary } from '../db/releases.js';
import { storeById } from '../db/stores.js';
import { allHooks, allHouseParts } from '../db/theme.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';

/** What waits to be published. */
export interface Waiting extends Impact {
	/** How many things change: pieces and attributes, the theme's tabs and the store's style counted as one each. */
	changes: number;
}

/** What a release of everything, or of some pieces, would change. */
export async function waiting(actor: Actor, pieces: string[] | null, now: number): Promise<Waiting> {
	const { catalog } = await storeStates.byId(actor.storeId, now);
	const { before, after, off } = await compose(database(), actor.storeId, pieces);
	const found = impact(before, after, catalog.index, now, (slug) => off.has(slug));
	const others =
		Number(found.houseTabs) + Number(found.theme) + Number(found.style) + found.attributes.length + found.exceptions;
	return { ...found, changes: found.pieces.length + others };
}

interface Composition {
	number: number;
	before: ReleaseContent;
	after: ReleaseContent;
	off: Set<string>;
	/** Drafts that were deleted and are in no release any more. */
	gone: string[];
}

/** The release in force, and the one that would follow it. */
async function compose(db: Db, storeId: number, only: string[] | null): Promise<Composition> {
	const latest = await latestRelease(db, storeId);
	const before = latest?.content ?? EMPTY_RELEASE;
	const rows = await allPieces(db, storeId);
	const chosen = only === null ? rows : only.map((slug) => chosenRow(rows, slug));
	const pieces = { ...before.pieces };
	for (const row of chosen) {
		if (row.removed) delete pieces[row.slug];
		else pieces[row.slug] = row.doc;
	}
	const rest =
		only === null ? await draftOfStore(db, storeId, pieces) : await draftOfPieces(db, storeId, before, only, pieces);
	return {
		number: (latest?.number ?? 0) + 1,
		before,
		after: { ...before, ...rest, pieces },
		off: new Set(rows.filter((row) => !row.on).map((row) => row.slug)),
		gone: chosen.filter((row) => row.removed).map((row) => row.slug)
	};
}

/** What a release holds beside pieces, as the drafts are. */
async function draftOfStore(
	db: Db,
	storeId: number,
	pieces: ReleaseContent['pieces']
): Promise<Omit<ReleaseContent, 'pieces'>> {
	const definitions = await allAttributes(db, storeId);
	const store = await storeById(db, storeId);
	return {
		houseTabs: await allHouseTabs(db, storeId),
		houseParts: await allHouseParts(db, storeId),
		hooks: await allHooks(db, storeId),
		exceptions: (await draftExceptions(db, storeId)).filter((one) => isOfTabs(one) || one.piece in pieces),
		strip: store?.strip ?? EMPTY_RELEASE.strip,
		style: store?.style ?? {},
		attributes: Object.fromEntries(definitions.map(({ code, label, unit }) => [code, { label, unit }]))
	};
}

/** What goes along with some pieces: their exceptions, and the owner's own hooks on which they hang. */
async function draftOfPieces(
	db: Db,
	storeId: number,
	before: ReleaseContent,
	only: readonly string[],
	pieces: ReleaseContent['pieces']
): Promise<Pick<ReleaseContent, 'exceptions' | 'hooks'>> {
	const isOfThem = (one: Exception) => !isOfTabs(one) && only.includes(one.piece);
	const drafts = (await draftExceptions(db, storeId)).filter(
		(one) => isOfThem(one) && !isOfTabs(one) && one.piece in pieces
	);
	const used = new Set(only.flatMap((slug) => pieces[slug]?.placements.map(({ hook }) => hook) ?? []));
	const isNew = ({ id }: ThemeHook) => used.has(id) && !before.hooks.some((hook) => hook.id === id);
	const hooks = ownHooks(await allHooks(db, storeId)).filter(isNew);
	return {
		exceptions: [...before.exceptions.filter((one) => !isOfThem(one)), ...drafts],
		hooks: [...before.hooks, ...hooks]
	};
}

async function draftExceptions(db: Db, storeId: number): Promise<Exception[]> {
	return (await findExceptions(db, storeId)).map(({ exception }) => exception);
}

function chosenRow(rows: readonly PieceRow[], slug: string): PieceRow {
	const row = rows.find((one) => one.slug === slug);
	if (!row)
		throw new Problem('not-found', 404, `There is no piece with the slug “${slug}”.`, [
			{ at: '/pieces', message: `names “${slug}”, which is not there` }
		]);
	return row;
}

export const publishSchema = z.strictObject({
	note: z.string().trim().max(1000).default(''),
	pieces: z.array(z.string()).min(1).max(10_000).optional()
});

/** Publishes everything that waits, or the given pieces, as the next release. */
export async function publish(actor: Actor, input: unknown, now: number): Promise<{ release: number; pages: number }> {
	const { note, pieces } = readBy(publishSchema, input, 'The release');
	const { catalog } = await storeStates.byId(actor.storeId, now);
	const result = await transaction(async (client) => {
		await lockStore(client, actor.storeId, 'release');
		const { number, before, after, off, gone } = await compose(client, actor.storeId, pieces ?? null);
		if (number > 1 && canonicalJson(before) === canonicalJson(after)) {
			throw new Problem('nothing-to-publish', 409, 'Nothing waits to be published.');
		}
		const { pages } = impact(before, after, catalog.index, now, (slug) => off.has(slug));
		await insertRelease(client, actor.storeId, { number, content: after, note, pages, author: actor.name });
		await deletePieces(client, actor.storeId, gone);
		await finish(client, actor, 'publish', number);
		return { release: number, pages };
	});
	await storeStates.reloadRelease(actor.storeId);
	return result;
}

/** Puts an earlier release back, as a release of its own. Drafts and off switches stay as they are. */
export async function restore(actor: Actor, number: number, now: number): Promise<{ release: number; pages: number }> {
	const { catalog } = await storeStates.byId(actor.storeId, now);
	const result = await transaction(async (client) => {
		await lockStore(client, actor.storeId, 'release');
		const wanted = await releaseByNumber(client, actor.storeId, number);
		if (!wanted) throw new Problem('not-found', 404, `There is no release ${number}.`);
		const latest = await latestRelease(client, actor.storeId);
		const next = (latest?.number ?? 0) + 1;
		const { pages } = impact(latest?.content ?? EMPTY_RELEASE, wanted.content, catalog.index, now);
		const note = `Put back release ${number}`;
		await insertRelease(client, actor.storeId, {
			number: next,
			content: wanted.content,
			note,
			pages,
			author: actor.name
		});
		await finish(client, actor, 'restore', next);
		return { release: next, pages };
	});
	await storeStates.reloadRelease(actor.storeId);
	return result;
}

async function finish(db: Db, actor: Actor, action: string, number: number): Promise<void> {
	await writeAudit(db, actor, action, `release ${number}`);
	await tell(db, { process: PROCESS_ID, store: actor.storeId, what: 'release' });
}

export function pastReleases(actor: Actor): Promise<ReleaseSummary[]> {
	return listReleases(database(), actor.storeId);
}
