import type { PageKind } from '@anbau/core/catalog';
import { ownHooks, type ThemeHook } from '@anbau/core/placement';

/** A part of the drawing of a page: an outline of the theme's own, or a hook. */
export type DrawnPart = { name: string; hook: string } | { name: string; tall?: boolean };

/** A page as it is drawn, from top to bottom; in the middle two columns, where it has them. */
export type Drawing = Record<'top' | 'left' | 'right' | 'bottom', readonly DrawnPart[]>;

const hook = (id: string): DrawnPart => ({ name: id, hook: id });
const part = (name: string, tall = false): DrawnPart => ({ name, tall });
const EDGES = ['edge-top', 'edge-bottom', 'edge-start', 'edge-end'].map(hook);

const PRODUCT: Drawing = {
	top: [hook('page-top')],
	left: [hook('above-gallery'), part('Gallery', true), hook('gallery'), hook('below-gallery')],
	right: [
		hook('above-title'),
		part('Title'),
		hook('below-title'),
		part('Price'),
		hook('below-price'),
		part('Summary'),
		hook('below-summary'),
		hook('above-options'),
		part('Quantity'),
		hook('above-buy'),
		part('Buy button'),
		hook('below-buy'),
		hook('below-details')
	],
	bottom: [
		hook('above-tabs'),
		hook('tabs'),
		hook('text-start'),
		part('Description'),
		hook('text'),
		hook('text-end'),
		hook('below-tabs'),
		hook('above-reviews'),
		hook('above-related'),
		part('Related products'),
		hook('below-related'),
		hook('page-bottom')
	]
};
const CATEGORY: Drawing = {
	top: [hook('page-top'), part('Title'), hook('above-list')],
	left: [],
	right: [],
	bottom: [part('Products', true), hook('below-list'), hook('page-bottom')]
};
const ARTICLE: Drawing = {
	top: [hook('page-top'), part('Title'), hook('text-start')],
	left: [],
	right: [],
	bottom: [part('Text', true), hook('text'), hook('text-end'), hook('page-bottom')]
};
const OTHER: Drawing = {
	top: [hook('page-top')],
	left: [],
	right: [],
	bottom: [part('Page', true), hook('page-bottom')]
};

/** The drawing of a kind of page, the owner's own hooks and the edges of the window at its foot. */
export function drawingOf(page: PageKind, hooks: readonly ThemeHook[]): Drawing {
	const known = { product: PRODUCT, category: CATEGORY, article: ARTICLE, home: OTHER, list: OTHER, plain: OTHER };
	const drawing = known[page];
	const own = ownHooks(hooks).filter(({ pages }) => pages.includes(page));
	return { ...drawing, bottom: [...drawing.bottom, ...own.map(({ id }) => hook(id)), ...EDGES] };
}

/** The hooks of a drawing from top to bottom. */
export function hooksDrawn({ top, left, right, bottom }: Drawing): string[] {
	return [...top, ...left, ...right, ...bottom].flatMap((drawn) => ('hook' in drawn ? drawn.hook : []));
}
