import type { PageDocument } from '@anbau/core/placement';
import { byMarker, type Finder } from './finder.js';
import { memory } from './memory.js';
import { finderFor, type Standing } from './storefront.js';

const HEIGHTS = 'heights';
/** How many pages a browser remembers. */
const REMEMBERED = 60;

/** How high what hangs on each hook of a page was, and how the page finds its hooks. */
type Remembered = [heights: Record<string, number>, bindings: PageDocument['bindings']];

/** What is remembered of pages, by name. */
const stored = () => memory.recall<Record<string, Remembered>>(HEIGHTS, {});

/** Keeps the space free that the pieces of a page took last time, on markers at once; `standing` can give it back. */
export async function keepSpace(base: string, page: string, standing: Standing): Promise<void> {
	const [heights = {}, bindings = {}] = stored()[page] ?? [];
	const held: HTMLElement[] = [];
	let finder = byMarker(document);
	standing.giveBack = () => {
		for (const { style } of held) style.minHeight = '';
		finder.release();
	};
	const keep = () => {
		for (const hook in heights) {
			const element = finder.holder(hook);
			if (!(element instanceof HTMLElement)) continue;
			element.style.minHeight = `${heights[hook]}px`;
			held.push(element);
		}
	};
	keep();
	finder = await finderFor(base, bindings);
	keep();
}

/** Remembers how high what hangs on the hooks of a page is. */
export function rememberSpace(page: string, { hooks, houseParts, bindings }: PageDocument, { at }: Finder): void {
	const names = [...Object.keys(hooks), ...houseParts.map(({ hook }) => hook)];
	const heights = names.map((hook) => [hook, Math.round(at(hook)?.getBoundingClientRect().height ?? 0)]);
	const { [page]: _, ...others } = stored();
	const all = [[page, [Object.fromEntries(heights), bindings]], ...Object.entries(others)];
	memory.keep(HEIGHTS, Object.fromEntries(all.slice(0, REMEMBERED)));
}
