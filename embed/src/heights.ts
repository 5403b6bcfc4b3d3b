import type { PageDocument } from '@anbau/core/placement';
import type { Finder } from './finder.js';
import { memory } from './memory.js';
import { finderFor } from './storefront.js';

const HEIGHTS = 'heights';
/** How many pages a browser remembers. */
const REMEMBERED = 60;

/** How high what hangs on each hook of a page was, and how the page finds its hooks. */
type Remembered = [heights: Record<string, number>, bindings: PageDocument['bindings']];

/** What is remembered of pages, by name. */
const stored = () => memory.recall<Record<string, Remembered>>(HEIGHTS, {});

/** Keeps the space free that the pieces of a page took last time; answers how to give it back. */
export async function keepSpace(base: string, page: string): Promise<(() => void) | undefined> {
	const [heights, bindings] = stored()[page] ?? [];
	if (!heights || !bindings) return undefined;
	const { holder, release } = await finderFor(base, bindings);
	const held = Object.entries(heights).map(([hook, height]) => {
		const element = holder(hook);
		if (element instanceof HTMLElement) element.style.minHeight = `${height}px`;
		return element;
	});
	return () => {
		for (const element of held) if (element instanceof HTMLElement) element.style.minHeight = '';
		release();
	};
}

/** Remembers how high what hangs on the hooks of a page is. */
export function rememberSpace(page: string, { hooks, bindings }: PageDocument, { at }: Finder): void {
	const heights = Object.keys(hooks).map((hook) => [hook, Math.round(at(hook)?.getBoundingClientRect().height ?? 0)]);
	const { [page]: _, ...others } = stored();
	const all = [[page, [Object.fromEntries(heights), bindings]], ...Object.entries(others)];
	memory.keep(HEIGHTS, Object.fromEntries(all.slice(0, REMEMBERED)));
}
