import type { PageDocument } from '@anbau/core/placement';
import type { Finder } from './finder.js';

const STORED = 'anbau-heights';
/** How many pages a browser remembers. */
const REMEMBERED = 60;

/** What is remembered of a page: how high what hangs on each hook was, and how the page finds its hooks. */
type Remembered = [page: string, heights: Record<string, number>, bindings: PageDocument['bindings']];

function stored(): Remembered[] {
	try {
		return JSON.parse(localStorage.getItem(STORED) ?? '[]') as Remembered[];
	} catch {
		// A browser that lets nothing be stored keeps no space free.
		return [];
	}
}

/** A page by its name and the width of the window, on which heights depend. */
const nameOf = (page: string) => `${page} ${innerWidth}`;

/** How a page found its hooks last time; undefined for a page that is not remembered. */
export function rememberedBindings(page: string): PageDocument['bindings'] | undefined {
	return stored().find(([name]) => name === nameOf(page))?.[2];
}

/** Keeps the space free that the pieces of a page took last time; answers how to give it back. */
export function keepSpace(page: string, { holder, release }: Finder): () => void {
	const heights = stored().find(([name]) => name === nameOf(page))?.[1] ?? {};
	const held = Object.keys(heights).map((hook) => [hook, holder(hook)] as const);
	const keep = (css: (hook: string) => string) => {
		for (const [hook, element] of held) if (element instanceof HTMLElement) element.style.minHeight = css(hook);
	};
	keep((hook) => `${heights[hook]}px`);
	return () => {
		keep(() => '');
		release();
	};
}

/** Remembers how high what hangs on the hooks of a page is. */
export function rememberSpace(page: string, { hooks, bindings }: PageDocument, { at }: Finder): void {
	const heights = Object.keys(hooks).map((hook) => [hook, Math.round(at(hook)?.getBoundingClientRect().height ?? 0)]);
	const others = stored().filter(([name]) => name !== nameOf(page));
	try {
		const all = [[nameOf(page), Object.fromEntries(heights), bindings], ...others];
		localStorage.setItem(STORED, JSON.stringify(all.slice(0, REMEMBERED)));
	} catch {
		// Nothing is kept free next time.
	}
}
