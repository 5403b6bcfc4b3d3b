import { upgradedPiece, type Piece, type Placement, type Style } from '@anbau/core/pieces';

/** A tab that the store's theme brings itself. Its binding is the theme's `data-anbau-tab` value, its slug. */
export interface HouseTab {
	slug: string;
	name: string;
	hidden: boolean;
	priority: number;
}

/** One product's deviation from a piece's target. */
export interface Exception {
	product: string;
	piece: string;
	mode: 'hide' | 'show';
}

/** What a release holds: everything that is public only by publishing. */
export interface ReleaseContent {
	/** By slug. */
	pieces: Record<string, Piece>;
	houseTabs: HouseTab[];
	exceptions: Exception[];
	/** The store's style, under every piece's own. */
	style: Style;
	/** How shoppers read attributes, by code. */
	attributes: Record<string, PublicAttribute>;
}

/** What of an attribute is public only by publishing. */
export interface PublicAttribute {
	label: string;
	unit: string;
}

export const EMPTY_RELEASE: ReleaseContent = { pieces: {}, houseTabs: [], exceptions: [], style: {}, attributes: {} };

/** A release as it was kept by an earlier version, with what has come to releases since. */
export function upgradedRelease(content: ReleaseContent): ReleaseContent {
	const pieces = Object.entries(content.pieces).map(([slug, piece]) => [slug, upgradedPiece(piece)] as const);
	return { ...EMPTY_RELEASE, ...content, pieces: Object.fromEntries(pieces) };
}

/** A placement as it is published: with its id. */
export type HungPlacement = Placement & { id: string };

/** A piece's placements; one that was never given an id has its place in the list as id. */
export function placementsOf(piece: Piece): HungPlacement[] {
	return piece.placements.map((placement, i) => ({ ...placement, id: placement.id ?? `p${i + 1}` }));
}
