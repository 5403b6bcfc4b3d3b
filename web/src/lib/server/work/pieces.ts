import { nanoid } from 'nanoid';
import {
	pieceSchema,
	pieceState,
	placementFault,
	slugSchema,
	windowsAt,
	type Piece,
	type PieceState
} from '@anbau/core/pieces';
import { exceptionsByPiece, ownHooks, reachOfPiece, type Exception, type ExceptionsOf } from '@anbau/core/placement';
import { writeAudit } from '../db/audit.js';
import { findExceptions } from '../db/exceptions.js';
import { tell } from '../db/notify.js';
import {
	allPieces,
	deletePieces,
	lockedPiece,
	markPieceRemoved,
	pieceBySlug,
	savePiece,
	setPieceOn,
	type PieceRow
} from '../db/pieces.js';
import { database, transaction, type Db } from '../db/pool.js';
import { splitPieceInput } from './pieceInput.js';
import { allHooks } from '../db/theme.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { PROCESS_ID, storeStates, type StoreState } from '../state/storeStates.js';

/** A piece as the API and the interface see it. */
export type PieceView = Piece & {
	slug: string;
	on: boolean;
	version: number;
	updated: string;
	updatedBy: string;
	state: PieceState;
	/** How many visible products the draft reaches. */
	reach: number;
};

/** All pieces of a store, those included that wait to be removed. */
export async function listPieces(actor: Actor, now: number): Promise<PieceView[]> {
	const state = await storeStates.byId(actor.storeId, now);
	const rows = await allPieces(database(), actor.storeId);
	const exceptionsOf = exceptionsByPiece(await draftExceptions(actor));
	return rows.map((row) => viewOf(row, state, exceptionsOf(row.slug), now));
}

export async function getPiece(actor: Actor, slug: string, now: number): Promise<PieceView> {
	const state = await storeStates.byId(actor.storeId, now);
	const row = await pieceBySlug(database(), actor.storeId, slug);
	if (!row) throw missing(slug);
	return viewWithExceptions(actor, row, state, now);
}

async function viewWithExceptions(actor: Actor, row: PieceRow, state: StoreState, now: number): Promise<PieceView> {
	const exceptions = exceptionsByPiece(await draftExceptions(actor, row.slug))(row.slug);
	return viewOf(row, state, exceptions, now);
}

async function draftExceptions(actor: Actor, piece: string | null = null): Promise<Exception[]> {
	return (await findExceptions(database(), actor.storeId, { piece })).map(({ exception }) => exception);
}

function viewOf(row: PieceRow, state: StoreState, exceptions: ExceptionsOf, now: number): PieceView {
	const live = state.release.content.pieces[row.slug] ?? null;
	const index = state.catalog.index;
	const reach = reachOfPiece(row.doc, exceptions, index, now).count();
	const { slug, on, version, updated, updatedBy, doc } = row;
	const window = windowsAt(doc.windows, now, state.store.zone).state;
	const onOtherPages = doc.placements.some((placement) => placement.page !== 'product') && doc.target !== null;
	const pieceStates = pieceState({ draft: row.removed ? null : doc, live, on, window, reach, onOtherPages });
	return { ...doc, slug, on, version, updated, updatedBy, state: pieceStates, reach };
}

/** When a write may go ahead: at any version, only if new, or only over the version that the writer knows. */
export type WriteCondition = { kind: 'any' } | { kind: 'new' } | { kind: 'version'; version: number };

/** Writes a piece's draft. `on` acts at once; everything else waits for a release. */
export async function putPiece(
	actor: Actor,
	slug: string,
	input: unknown,
	condition: WriteCondition,
	now: number
): Promise<PieceView> {
	const goodSlug = readBy(slugSchema, slug, 'The slug');
	const { on, ...rest } = splitPieceInput(input);
	const piece = readBy(pieceSchema, rest, 'The piece');
	const row = await transaction(async (client) => {
		const before = await lockedPiece(client, actor.storeId, goodSlug);
		checkCondition(before, condition);
		await checkHooks(client, actor, piece);
		const doc = withPlacementFacts(piece, before?.doc, now);
		const saved = await savePiece(client, actor.storeId, goodSlug, doc, on ?? before?.on ?? true, actor.name);
		await writeAudit(client, actor, before ? 'save' : 'create', `piece ${goodSlug}`, before?.doc ?? null, doc);
		if (before && before.on !== saved.on) await tellRelease(client, actor.storeId);
		return saved;
	});
	if (on !== undefined) await storeStates.reloadRelease(actor.storeId);
	return viewWithExceptions(actor, row, await storeStates.byId(actor.storeId, now), now);
}

/** Hooks that not every store has must be the owner's own. */
async function checkHooks(db: Db, actor: Actor, piece: Piece): Promise<void> {
	const own = ownHooks(await allHooks(db, actor.storeId));
	const faults = piece.placements.flatMap(({ page, hook }, i) => {
		const message = placementFault(page, hook, own);
		return message === null ? [] : [{ at: `/placements/${i}/hook`, message }];
	});
	if (faults.length > 0) throw new Problem('invalid', 422, 'The piece cannot be taken as it is.', faults);
}

function checkCondition(before: PieceRow | undefined, condition: WriteCondition): void {
	if (condition.kind === 'new' && before && !before.removed) {
		throw new Problem('exists', 412, `There is already a piece with the slug “${before.slug}”.`);
	}
	if (condition.kind !== 'version' || before?.version === condition.version) return;
	if (!before) throw new Problem('changed-meanwhile', 412, 'The piece was deleted in the meantime.');
	const { doc, on, version, updated, updatedBy, slug } = before;
	throw new Problem('changed-meanwhile', 412, `${updatedBy} changed this piece in the meantime.`, [], {
		current: { ...doc, slug, on, version, updated, updatedBy }
	});
}

/** Gives new placements an id, and keeps since when each has been hung. */
function withPlacementFacts(piece: Piece, before: Piece | undefined, now: number): Piece {
	const sinceOf = new Map(before?.placements.map((placement) => [placement.id, placement.since]));
	const placements = piece.placements.map((placement) => {
		const id = placement.id ?? nanoid(10);
		return { ...placement, id, since: sinceOf.get(id) ?? placement.since ?? new Date(now).toISOString() };
	});
	return { ...piece, placements };
}

/** The off switch: acts at once, outside releases. */
export async function switchPiece(actor: Actor, slug: string, on: boolean, now: number): Promise<PieceView> {
	await transaction(async (client) => {
		const before = await lockedPiece(client, actor.storeId, slug);
		if (!before) throw missing(slug);
		if (before.on === on) return;
		await setPieceOn(client, actor.storeId, slug, on, actor.name);
		await writeAudit(client, actor, on ? 'switch on' : 'switch off', `piece ${slug}`);
		await tellRelease(client, actor.storeId);
	});
	await storeStates.reloadRelease(actor.storeId);
	return getPiece(actor, slug, now);
}

/** Deletes a draft. A piece that is public stays on the pages until the next release. */
export async function deletePiece(actor: Actor, slug: string, condition: WriteCondition, now: number): Promise<void> {
	const { release } = await storeStates.byId(actor.storeId, now);
	await transaction(async (client) => {
		const before = await lockedPiece(client, actor.storeId, slug);
		if (!before) throw missing(slug);
		checkCondition(before, condition);
		if (release.content.pieces[slug]) await markPieceRemoved(client, actor.storeId, slug, actor.name);
		else await deletePieces(client, actor.storeId, [slug]);
		await writeAudit(client, actor, 'delete', `piece ${slug}`, before.doc);
	});
}

function tellRelease(db: Db, store: number): Promise<void> {
	return tell(db, { process: PROCESS_ID, store, what: 'release' });
}

function missing(slug: string): Problem {
	return new Problem('not-found', 404, `There is no piece with the slug “${slug}”.`);
}
