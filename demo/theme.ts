/** How the hooks are found in the demo shop's second theme, which has no markers. */
export const DEMO_BINDINGS: Record<
	string,
	readonly [selector: string, position: 'before' | 'after' | 'first' | 'last']
> = {
	'page-top': ['.sky', 'before'],
	'above-gallery': ['.stage > figure', 'first'],
	gallery: ['.stage > figure', 'last'],
	'below-gallery': ['.stage > figure', 'last'],
	'above-title': ['.pane > h1', 'before'],
	'below-title': ['.pane > h1', 'after'],
	'below-price': ['.pane > .cost', 'after'],
	'below-summary': ['.pane > .lead', 'after'],
	'above-options': ['.take', 'first'],
	'above-buy': ['.take > button', 'before'],
	'below-buy': ['.take', 'last'],
	'below-details': ['.pane > .codes', 'after'],
	'above-tabs': ['.leaves', 'before'],
	tabs: ['.leaves, .strip', 'after'],
	'below-tabs': ['.leaves', 'after'],
	'text-start': ['.copy', 'before'],
	text: ['.copy', 'last'],
	'text-end': ['.copy', 'after'],
	'above-related': ['.alike', 'first'],
	'below-related': ['.alike', 'last'],
	'above-list': ['.field > h1 + .shelf', 'before'],
	'below-list': ['.field > h1 + .shelf', 'after'],
	'page-bottom': ['.ground', 'before']
};

/** Where pieces hang when the theme has no such place at all. */
export const DEMO_FALLBACKS: Record<string, string> = { 'above-reviews': 'above-related' };

/** The line of SKU and categories, moved up below the title, in both themes. */
export const DEMO_PARTS = {
	'sku-line': { name: 'SKU line', from: '.buy > .details, .pane > .codes', hook: 'below-title', priority: 50 }
};
