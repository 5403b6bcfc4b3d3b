import { fold, type Facts } from '@anbau/core/catalog';
import { effectiveTarget, type PieceKind } from '@anbau/core/pieces';
import { evaluate } from '@anbau/core/rules';
import type { PieceView } from '$lib/contracts.js';

export type LibrarySort = 'name' | 'changed' | 'reach';
export type LibraryState = 'live' | 'waits' | 'off' | 'reaches nothing';

/** How the library is filtered and sorted; null filters nothing. */
export interface LibraryView {
	text: string;
	kind: PieceKind | null;
	state: LibraryState | null;
	hook: string | null;
	/** Only pieces whose target meets this product. */
	product: { title: string; facts: Facts } | null;
	sort: LibrarySort;
}

const STATE_TESTS: Record<LibraryState, (piece: PieceView) => boolean> = {
	live: ({ state }) => state.publication === 'live',
	waits: ({ state }) => state.publication !== 'live',
	off: ({ on }) => !on,
	'reaches nothing': ({ state }) => state.running === 'reaches nothing'
};

const ORDERS: Record<LibrarySort, (a: PieceView, b: PieceView) => number> = {
	name: (a, b) => a.name.localeCompare(b.name),
	changed: (a, b) => (a.updated < b.updated ? 1 : -1),
	reach: (a, b) => b.reach - a.reach
};

/** The pieces that a view shows, in its order. `now` in milliseconds since the epoch. */
export function arrange(pieces: readonly PieceView[], view: LibraryView, now: number): PieceView[] {
	const { product } = view;
	const wanted = fold(view.text);
	return pieces
		.filter(
			(piece) =>
				(view.kind === null || piece.kind === view.kind) &&
				(view.state === null || STATE_TESTS[view.state](piece)) &&
				(view.hook === null || piece.placements.some((one) => one.hook === view.hook)) &&
				(product === null || evaluate(effectiveTarget(piece), product.facts, now)) &&
				(wanted === '' ||
					[piece.name, piece.heading, piece.note, piece.slug].some((text) => fold(text).includes(wanted)))
		)
		.sort(ORDERS[view.sort]);
}
