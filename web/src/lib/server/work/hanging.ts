import { factsOfProduct } from '@anbau/core/catalog';
import { hookById, type PieceKind, type Piece } from '@anbau/core/pieces';
import { exceptionsByPiece, reachPredicate } from '@anbau/core/placement';
import { findExceptions } from '../db/exceptions.js';
import { allPieces } from '../db/pieces.js';
import { database } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { storeStates } from '../state/storeStates.js';

/** A piece whose draft reaches a product. */
export interface Hanging {
	slug: string;
	name: string;
	kind: PieceKind;
	on: boolean;
	/** Where, in words. */
	hooks: string[];
	/** Whether it was made for this product and no other. */
	onlyHere: boolean;
}

/** Which pieces reach each of the given products, as the drafts are. */
export async function hangingOn(actor: Actor, keys: readonly string[], now: number): Promise<Map<string, Hanging[]>> {
	const { catalog } = await storeStates.byId(actor.storeId, now);
	const drafts = await findExceptions(database(), actor.storeId);
	const rows = (await allPieces(database(), actor.storeId)).filter((row) => !row.removed);
	const exceptionsOf = exceptionsByPiece(drafts.map(({ exception }) => exception));
	const pieces = rows.map((row) => ({ row, reaches: reachPredicate(row.doc, exceptionsOf(row.slug), now) }));
	return new Map(
		keys.map((key) => {
			const product = catalog.product(key);
			const facts = product ? factsOfProduct(product) : null;
			const found = facts ? pieces.filter(({ reaches }) => reaches(facts)) : [];
			found.sort((a, b) => breadth(a.row.doc) - breadth(b.row.doc));
			return [
				key,
				found.map(({ row }) => ({
					slug: row.slug,
					name: row.doc.name,
					kind: row.doc.kind,
					on: row.on,
					hooks: hookWords(row.doc),
					onlyHere: isOnlyHere(row.doc)
				}))
			];
		})
	);
}

/** What was made for one product comes first, what is on every page last. */
function breadth(piece: Piece): number {
	if (isOnlyHere(piece)) return 0;
	return piece.target !== null && 'all' in piece.target && piece.target.all.length === 0 ? 2 : 1;
}

function hookWords(piece: Piece): string[] {
	return piece.placements.filter(({ page }) => page === 'product').map(({ hook }) => hookById(hook)?.title ?? hook);
}

function isOnlyHere({ target }: Piece): boolean {
	return target !== null && 'field' in target && target.field === 'product' && target.value.length === 1;
}
