import type { PageKind } from '@anbau/core/catalog';

/**
 * What a hook is like: a `point` between two parts of the page, the `tabs` strip, the `gallery` strip, inside the
 * running `text`, or an `edge` of the window.
 */
export type HookForm = 'point' | 'tabs' | 'gallery' | 'text' | 'edge';

/** A named position on pages. */
export interface Hook {
	id: string;
	/** The position in words, as the end of “Hangs …”. */
	title: string;
	pages: readonly PageKind[];
	form: HookForm;
}

const product = ['product'] as const;
const everyKind = ['product', 'category', 'article', 'home', 'list', 'plain'] as const;
const category = ['category'] as const;
const withText = ['product', 'article'] as const;

const hook = (id: string, title: string, pages: readonly PageKind[], form: HookForm = 'point'): Hook => ({
	id,
	title,
	pages,
	form
});

/** The hooks that a new store has, from the top of a page to its bottom, the edges of the window last. */
export const HOOKS: readonly Hook[] = [
	hook('page-top', 'at the top of the page', everyKind),
	hook('above-gallery', 'above the gallery', product),
	hook('gallery', 'in the gallery', product, 'gallery'),
	hook('below-gallery', 'below the gallery', product),
	hook('above-title', 'above the title', product),
	hook('below-title', 'below the title', product),
	hook('below-price', 'below the price', product),
	hook('below-summary', 'below the summary', product),
	hook('above-options', 'above variants and quantity', product),
	hook('above-buy', 'above the buy button', product),
	hook('below-buy', 'below the buy button', product),
	hook('below-details', 'below SKU and categories', product),
	hook('above-tabs', 'above the tabs', product),
	hook('tabs', 'among the tabs', product, 'tabs'),
	hook('below-tabs', 'below the tabs', product),
	hook('text-start', 'where the text starts', withText),
	hook('text', 'in the text', withText, 'text'),
	hook('text-end', 'where the text ends', withText),
	hook('above-list', 'above the product list', category),
	hook('below-list', 'below the product list', category),
	hook('above-reviews', 'above the reviews', product),
	hook('above-related', 'above related products', product),
	hook('below-related', 'below related products', product),
	hook('page-bottom', 'at the bottom of the page', everyKind),
	hook('edge-top', 'at the top edge of the window', everyKind, 'edge'),
	hook('edge-bottom', 'at the bottom edge of the window', everyKind, 'edge'),
	hook('edge-start', 'at the left edge of the window', everyKind, 'edge'),
	hook('edge-end', 'at the right edge of the window', everyKind, 'edge')
];

const known = new Map(HOOKS.map((one) => [one.id, one]));

/** One of the hooks that every store has, by its id. */
export function hookById(id: string): Hook | undefined {
	return known.get(id);
}

/** What a hook is like; an owner's own hook is a point. */
export function formOf(id: string): HookForm {
	return known.get(id)?.form ?? 'point';
}

/** The hooks of a page kind that every store has, from the top of the page to its bottom. */
export function hooksOf(page: PageKind): Hook[] {
	return HOOKS.filter((one) => one.pages.includes(page));
}

/**
 * Why nothing can hang on a hook of a page kind; null when it can. `own` are the hooks that the owner added; without
 * them an unknown hook is taken for one of those.
 */
export function placementFault(
	page: PageKind,
	id: string,
	own?: readonly { id: string; pages: readonly PageKind[] }[]
): string | null {
	const found = known.get(id) ?? own?.find((one) => one.id === id);
	if (found) return found.pages.includes(page) ? null : `“${id}” is not a hook of ${page} pages`;
	return own ? `“${id}” is not a hook` : null;
}

/** Why a piece of a kind cannot hang on a hook; null when it can. Media alone join the house pictures of a gallery. */
export function kindFault(kind: string, id: string): string | null {
	return formOf(id) === 'gallery' && kind !== 'media' ? `only media hang in the gallery, not a ${kind}` : null;
}
