import type { Piece } from './piece.js';
import type { WindowState } from './window.js';

/** How a piece's draft stands to what is public. */
export type Publication = 'draft' | 'live' | 'changed' | 'removed with the next release';
/** Whether a piece is at work. */
export type Running = 'off' | 'waiting' | 'on' | 'ended' | 'reaches nothing';

export interface PieceState {
	publication: Publication;
	running: Running;
}

export interface StateInput {
	/** Null when the draft is deleted. */
	draft: Piece | null;
	/** Null when no release in force has it. */
	live: Piece | null;
	on: boolean;
	window: WindowState;
	/** How many products show it. */
	reach: number;
	/** Whether it hangs on pages that are no product's, whatever its reach. */
	onOtherPages: boolean;
}

/** The two states of a piece, as they are shown everywhere. */
export function pieceState({ draft, live, on, window, reach, onOtherPages }: StateInput): PieceState {
	return { publication: publication(draft, live), running: running(on, window, reach > 0 || onOtherPages) };
}

/** How a draft stands to what is public. */
export function publication(draft: Piece | null, live: Piece | null): Publication {
	if (!live) return 'draft';
	if (!draft) return 'removed with the next release';
	return samePiece(draft, live) ? 'live' : 'changed';
}

function running(on: boolean, window: WindowState, reaches: boolean): Running {
	if (!on) return 'off';
	if (window !== 'on') return window;
	return reaches ? 'on' : 'reaches nothing';
}

/** Whether two documents say the same, whatever the order of their properties. */
export function samePiece(a: Piece, b: Piece): boolean {
	return canonicalJson(a) === canonicalJson(b);
}

/** A JSON value as text with its properties sorted and absent ones left out (RFC 8785's ordering). */
export function canonicalJson(value: unknown): string {
	return JSON.stringify(value, (_, inner: unknown) =>
		typeof inner === 'object' && inner !== null && !Array.isArray(inner)
			? Object.fromEntries(Object.entries(inner).sort(([a], [b]) => (a < b ? -1 : 1)))
			: inner
	);
}
