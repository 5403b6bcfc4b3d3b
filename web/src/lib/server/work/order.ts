import { z } from 'zod';
import { hookIdSchema, movedTo, placementFault, type Piece } from '@anbau/core/pieces';
import { ownHooks, type HouseTab } from '@anbau/core/placement';
import { writeAudit } from '../db/audit.js';
import { houseTabBySlug, saveHouseTab } from '../db/houseTabs.js';
import { lockedPiece, savePiece } from '../db/pieces.js';
import { transaction, type Db } from '../db/pool.js';
import { allHooks } from '../db/theme.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { listPieces, type PieceView } from './pieces.js';

const priority = z.number().int('must be a whole number').min(1).max(999);

export const orderSchema = z.strictObject({
	moves: z
		.array(
			z.union([
				z.strictObject({ piece: z.string(), placement: z.string(), priority, hook: hookIdSchema.optional() }),
				z.strictObject({ houseTab: z.string(), priority })
			])
		)
		.min(1)
		.max(1000)
});

/**
 * Moves placements and the theme's tabs, all of them or none: a new priority, and for a placement another hook.
 * Answers the pieces as they are then.
 */
export async function moveInOrder(actor: Actor, input: unknown, now: number): Promise<PieceView[]> {
	const { moves } = readBy(orderSchema, input, 'The order');
	await transaction(async (client) => {
		for (const [i, move] of moves.entries()) {
			if ('houseTab' in move) await moveTab(client, actor, move.houseTab, move.priority, `/moves/${i}/houseTab`);
			else await movePlacement(client, actor, move, `/moves/${i}`);
		}
	});
	const touched = new Set(moves.flatMap((move) => ('piece' in move ? move.piece : [])));
	return (await listPieces(actor, now)).filter(({ slug }) => touched.has(slug));
}

async function moveTab(db: Db, actor: Actor, slug: string, to: number, at: string): Promise<void> {
	const before = await houseTabBySlug(db, actor.storeId, slug);
	if (!before) throw missing(at, `There is no house tab “${slug}”.`);
	const tab: HouseTab = { ...before, priority: to };
	await saveHouseTab(db, actor.storeId, tab);
	await writeAudit(db, actor, 'move', `house tab ${slug}`, before, tab);
}

async function movePlacement(
	db: Db,
	actor: Actor,
	move: { piece: string; placement: string; priority: number; hook?: string | undefined },
	at: string
): Promise<void> {
	const row = await lockedPiece(db, actor.storeId, move.piece);
	if (!row || row.removed) throw missing(`${at}/piece`, `There is no piece with the slug “${move.piece}”.`);
	const found = row.doc.placements.find(({ id }) => id === move.placement);
	if (!found) throw missing(`${at}/placement`, `“${row.doc.name}” has no placement “${move.placement}”.`);
	if (move.hook !== undefined) {
		const message = placementFault(found.page, move.hook, ownHooks(await allHooks(db, actor.storeId)));
		if (message) throw new Problem('invalid', 422, 'It cannot hang there.', [{ at: `${at}/hook`, message }]);
	}
	const placements = row.doc.placements.map((placement) => {
		if (placement !== found) return placement;
		return { ...(move.hook === undefined ? placement : movedTo(placement, move.hook)), priority: move.priority };
	});
	const doc: Piece = { ...row.doc, placements };
	await savePiece(db, actor.storeId, row.slug, doc, row.on, actor.name);
	await writeAudit(db, actor, 'move', `piece ${row.slug}`, row.doc, doc);
}

function missing(at: string, message: string): Problem {
	return new Problem('not-found', 404, message, [{ at, message: 'names nothing that is there' }]);
}
