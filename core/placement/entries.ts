import { closableHtml, edgePlace, textPlace, type Piece, type RenderedPiece } from '@anbau/core/pieces';
import type { EdgeEntry, HookEntry, TabEntry, TextEntry } from './document.js';
import type { Ordered } from './order.js';
import type { HungPlacement } from './release.js';

/** A placement that may show on a page, with its place in the order. */
export interface Candidate extends Ordered {
	slug: string;
	piece: Piece;
	placement: HungPlacement;
}

export function hookEntry({ slug, piece, placement, priority }: Candidate, { html }: RenderedPiece): HookEntry {
	const { id, devices, width, padding, maxWidth } = placement;
	const room = { ...(padding === undefined ? {} : { padding }), ...(maxWidth === undefined ? {} : { maxWidth }) };
	return { piece: slug, placement: id, kind: piece.kind, priority, devices, width, ...room, html };
}

export function textEntry(candidate: Candidate, rendered: RenderedPiece): TextEntry {
	return { ...hookEntry(candidate, rendered), ...textPlace(candidate.placement) };
}

export function edgeEntry({ slug, piece, placement, priority }: Candidate, { html }: RenderedPiece): EdgeEntry {
	const { id, devices, hook } = placement;
	const edge = hook.slice('edge-'.length) as EdgeEntry['edge'];
	const place = edgePlace(placement);
	const shown = place.closable ? closableHtml(html) : html;
	return { piece: slug, placement: id, kind: piece.kind, edge, priority, devices, ...place, html: shown };
}

/** The tabs of a piece: its panels side by side under one priority. */
export function tabEntries(
	{ slug, placement, priority, since, id }: Candidate,
	{ panels }: RenderedPiece
): (TabEntry & Ordered)[] {
	return panels.map((panel) => ({
		source: 'piece',
		piece: slug,
		placement: placement.id,
		...panel,
		priority,
		hidden: false,
		devices: placement.devices,
		since,
		id
	}));
}
