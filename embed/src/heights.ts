import type { PageDocument } from '@anbau/core/placement';
import { byMarker, type Finder } from './finder.js';
import { memory } from './memory.js';
import type { Standing } from './storefront.js';

const HEIGHTS = 'heights';
/** How many pages a browser remembers. */
const REMEMBERED = 60;

/** How high what hangs on each hook was, by the names of pages. */
const stored = () => memory.recall<Record<string, Record<string, number>>>(HEIGHTS, {});

/**
 * Keeps the space free on markers that the pieces of a page took last time, until `standing` gives it back.
 */
export function keepSpace(page: string, standing: Standing): void {
	const held = Object.entries(stored()[page] ?? {}).flatMap(([hook, height]) => {
		const element = byMarker(document).at(hook);
		if (!(element instanceof HTMLElement)) return [];
		element.style.minHeight = `${height}px`;
		return [element];
	});
	standing.giveBack = () => {
		for (const { style } of held) style.minHeight = '';
	};
}

/** Remembers how high what hangs on the hooks of a page is. */
export function rememberSpace(page: string, { hooks, houseParts }: PageDocument, { at }: Finder): void {
	const names = [...Object.keys(hooks), ...houseParts.map(({ hook }) => hook)];
	const heights = names.map((hook) => [hook, Math.round(at(hook)?.getBoundingClientRect().height ?? 0)]);
	const { [page]: _, ...others } = stored();
	const all = [[page, Object.fromEntries(heights)], ...Object.entries(others)];
	memory.keep(HEIGHTS, Object.fromEntries(all.slice(0, REMEMBERED)));
}
