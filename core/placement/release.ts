import { upgradedPiece, type Piece, type Placement, type Style } from '@anbau/core/pieces';
import type { Exception } from './exception.js';
import { DEFAULT_STRIP, type HousePart, type HouseTab, type Strip, type ThemeHook } from './theme.js';

/** What a release holds: everything that is public only by publishing. */
export interface ReleaseContent {
	/** By slug. */
	pieces: Record<string, Piece>;
	houseTabs: HouseTab[];
	houseParts: HousePart[];
	/** Hooks that are bound to the theme, and the owner's own. */
	hooks: ThemeHook[];
	strip: Strip;
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

export const EMPTY_RELEASE: ReleaseContent = {
	pieces: {},
	houseTabs: [],
	houseParts: [],
	hooks: [],
	strip: DEFAULT_STRIP,
	exceptions: [],
	style: {},
	attributes: {}
};

/** A release as it was kept by an earlier version, with what has come to releases since. */
export function upgradedRelease(content: ReleaseContent): ReleaseContent {
	const pieces = Object.entries(content.pieces).map(([slug, piece]) => [slug, upgradedPiece(piece)] as const);
	const houseTabs = content.houseTabs.map((tab) => ({ ...NEW_TAB, ...tab }));
	return { ...EMPTY_RELEASE, ...content, houseTabs, pieces: Object.fromEntries(pieces) };
}

const NEW_TAB = { icon: null, binding: null };

/** A placement as it is published: with its id. */
export type HungPlacement = Placement & { id: string };

/** A piece's placements; one that was never given an id has its place in the list as id. */
export function placementsOf(piece: Piece): HungPlacement[] {
	return piece.placements.map((placement, i) => ({ ...placement, id: placement.id ?? `p${i + 1}` }));
}
