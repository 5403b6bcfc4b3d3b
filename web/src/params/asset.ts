import type { ParamMatcher } from '@sveltejs/kit';

/** The storefront's script and style, by their public names. */
export const match: ParamMatcher = (name) =>
	/^anbau(-tabs|-opening|-values|-theme|-parts|-preview)?\.(js|css)$/.test(name);
