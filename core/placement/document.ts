import type { PageRef } from '@anbau/core/catalog';
import type { Device, EdgePlace, Placement, PieceKind, TextPlace } from '@anbau/core/pieces';
import type { Binding, Strip } from './theme.js';
import { DEFAULT_STRIP } from './theme.js';

/** A piece on a hook between parts of a page. */
export interface HookEntry {
	piece: string;
	placement: string;
	kind: PieceKind;
	priority: number;
	devices: Device[];
	width: Placement['width'];
	padding?: string;
	maxWidth?: number;
	html: string;
}

/** A tab of a page's strip: the theme's own, or a panel of a piece. */
export interface TabEntry {
	source: 'piece' | 'house';
	piece?: string;
	placement?: string;
	slug: string;
	heading: string;
	/** SVG. */
	icon: string | null;
	priority: number;
	hidden: boolean;
	devices?: Device[];
	html?: string;
	/** A CSS selector of the theme's panel. */
	binding?: string;
}

/** A piece inside the running text. */
export interface TextEntry extends HookEntry, TextPlace {}

/** A piece that floats at an edge of the window. */
export interface EdgeEntry extends EdgePlace {
	edge: 'top' | 'bottom' | 'start' | 'end';
	piece: string;
	placement: string;
	kind: PieceKind;
	priority: number;
	devices: Device[];
	html: string;
}

/** How a hook is found where the theme has no marker for it. */
export interface HookBinding {
	binding: Binding | null;
	fallback: string | null;
}

/** What a page shows: the document that the storefront's script and the weave work from. */
export interface PageDocument {
	release: number;
	page: PageRef;
	/** The instant at which a window opens or closes, or a live value changes; null when none is near. */
	validUntil: string | null;
	hooks: Record<string, HookEntry[]>;
	tabs: TabEntry[];
	/** Pictures and films of pieces among the theme's own. */
	gallery: HookEntry[];
	/** In the order in which they are put in. */
	text: TextEntry[];
	edges: EdgeEntry[];
	/** Elements of the theme that hang on another hook. */
	houseParts: { from: string; hook: string; priority: number }[];
	/** Of the hooks that this document names, those that are bound to the theme. */
	bindings: Record<string, HookBinding>;
	strip: Strip;
	/** The store's style as CSS custom properties. */
	style: Record<string, string>;
	/** The language of what is filled in, BCP 47. */
	locale: string;
	/** Whether some piece of the store lists what a visitor looked at, so that visited products are remembered. */
	remembers: boolean;
}

/** The document of a page that shows nothing. */
export function emptyPage(release: number, page: PageRef): PageDocument {
	return {
		release,
		page,
		validUntil: null,
		hooks: {},
		tabs: [],
		gallery: [],
		text: [],
		edges: [],
		houseParts: [],
		bindings: {},
		strip: DEFAULT_STRIP,
		style: {},
		locale: 'en',
		remembers: false
	};
}
