import type { PageKind } from '@anbau/core/catalog';

/** A named position on pages. */
export interface Hook {
	id: string;
	/** The position in words, as the end of “Hangs …”. */
	title: string;
	pages: readonly PageKind[];
}

const product = ['product'] as const;
const everyKind = ['product', 'category', 'article', 'home', 'list', 'plain'] as const;
const category = ['category'] as const;

/** The hooks that a new store has, from the top of a page to its bottom. */
export const HOOKS: readonly Hook[] = [
	{ id: 'page-top', title: 'at the top of the page', pages: everyKind },
	{ id: 'above-gallery', title: 'above the gallery', pages: product },
	{ id: 'below-gallery', title: 'below the gallery', pages: product },
	{ id: 'above-title', title: 'above the title', pages: product },
	{ id: 'below-title', title: 'below the title', pages: product },
	{ id: 'below-price', title: 'below the price', pages: product },
	{ id: 'below-summary', title: 'below the summary', pages: product },
	{ id: 'above-options', title: 'above variants and quantity', pages: product },
	{ id: 'above-buy', title: 'above the buy button', pages: product },
	{ id: 'below-buy', title: 'below the buy button', pages: product },
	{ id: 'below-details', title: 'below SKU and categories', pages: product },
	{ id: 'above-tabs', title: 'above the tabs', pages: product },
	{ id: 'tabs', title: 'among the tabs', pages: product },
	{ id: 'below-tabs', title: 'below the tabs', pages: product },
	{ id: 'text-start', title: 'where the text starts', pages: ['product', 'article'] },
	{ id: 'text-end', title: 'where the text ends', pages: ['product', 'article'] },
	{ id: 'above-list', title: 'above the product list', pages: category },
	{ id: 'below-list', title: 'below the product list', pages: category },
	{ id: 'above-reviews', title: 'above the reviews', pages: product },
	{ id: 'above-related', title: 'above related products', pages: product },
	{ id: 'below-related', title: 'below related products', pages: product },
	{ id: 'page-bottom', title: 'at the bottom of the page', pages: everyKind }
];

/** A hook by its id. */
export function hookById(id: string): Hook | undefined {
	return HOOKS.find((hook) => hook.id === id);
}

/** The hooks of a page kind, from the top of the page to its bottom. */
export function hooksOf(page: PageKind): Hook[] {
	return HOOKS.filter((hook) => hook.pages.includes(page));
}

/** Why nothing can hang on a hook of a page kind; null when it can. */
export function placementFault(page: PageKind, id: string): string | null {
	const hook = hookById(id);
	if (!hook) return `“${id}” is not a hook`;
	return hook.pages.includes(page) ? null : `“${id}” is not a hook of ${page} pages`;
}
