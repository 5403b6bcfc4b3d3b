import { emptyBody, newPiece, type Piece, type PieceKind } from '@anbau/core/pieces';
import { slugify } from '@anbau/core/catalog';
import type { PieceView } from '$lib/contracts.js';
import { request, RequestProblem } from './request.js';
import { KIND_WORDS } from './words.js';

/** A piece's document as the API takes it. */
type PieceInput = { name: string; kind: PieceKind } & Record<string, unknown>;

/** Saves a new piece under the first free slug made from its name; answers the slug. */
export async function createPiece(piece: PieceInput): Promise<string> {
	const base = slugify(piece.name) || piece.kind;
	for (let turn = 1; ; turn++) {
		const slug = turn === 1 ? base : `${base}-${turn}`;
		try {
			await request<PieceView>(`/api/v1/pieces/${slug}`, {
				method: 'PUT',
				body: piece,
				headers: { 'if-none-match': '*' }
			});
			return slug;
		} catch (error) {
			if (!(error instanceof RequestProblem && error.status === 412) || turn > 50) throw error;
		}
	}
}

/** An empty piece of a kind, ready to be written. */
export function blankPiece(kind: PieceKind): Piece {
	return newPiece(kind, `New ${KIND_WORDS[kind].toLowerCase()}`, emptyBody());
}

/** A piece's document without what the server says of it. */
export function documentOf(view: PieceView): Piece {
	const {
		slug: _slug,
		on: _on,
		version: _version,
		updated: _updated,
		updatedBy: _by,
		state: _state,
		reach: _reach,
		...piece
	} = view;
	return piece;
}

/** A copy of a piece with all its settings, under a name that says so. */
export function copyOf(view: PieceView): Piece {
	const piece = documentOf(view);
	const placements = piece.placements.map(({ id: _id, since: _since, ...placement }) => placement);
	return { ...piece, name: `${piece.name} (copy)`, placements };
}

/** Keeps a piece as a starter under its own slug. */
export async function keepAsStarter(view: Pick<PieceView, 'slug'>, piece: Piece): Promise<void> {
	await request(`/api/v1/starters/${encodeURIComponent(view.slug)}`, { method: 'PUT', body: piece });
}
