import type { PageDocument } from '@anbau/core/placement';
import { byMarker, type Finder } from './finder.js';
import { memory } from './memory.js';
import type { Wire } from './opening.js';
import { loadStyle, nodesOf } from './page.js';
import { place, type Placed } from './place.js';
import type { placeTabs } from './placeTabs.js';
import type { wireParts } from './parts.js';
import { holding, styled } from './slots.js';
import type * as Theme from './theme.js';
import type { valuesOf } from './values.js';

/** Finds hooks on this page; what binds them to a theme without markers is loaded when there is such a one. */
export async function finderFor(base: string, bindings: PageDocument['bindings']): Promise<Finder> {
	const theme = await load<typeof Theme>(base, Object.keys(bindings).length > 0, 'theme');
	return theme ? theme.byBinding(document, bindings) : byMarker(document);
}

/** What stands on this page at the moment. */
export interface Standing {
	placed?: Placed;
	/** Gives back the space that is kept free for what comes. */
	giveBack?: (() => void) | undefined;
}

/** Takes away what stands on the page. */
export function clear({ placed, giveBack }: Standing): void {
	placed?.undo();
	giveBack?.();
}

/** Shows a document on this page, in place of what stands there, once all that it needs is loaded. */
export async function show(base: string, found: PageDocument, standing: Standing): Promise<void> {
	const finder = await finderFor(base, found.bindings);
	const [tabs, opening, values, theme, parts] = await loadBehaviour(base, found);
	clear(standing);
	const live = values?.valuesOf(found, document, memory);
	const prepare = live?.prepare ?? (() => true);
	const hold = holding(document, prepare);
	const placed = (standing.placed = place(
		found,
		document,
		finder,
		theme?.adopting(document, prepare, hold, styled) ?? hold
	));
	theme?.placeElsewhere(placed, found);
	tabs?.placeTabs(placed, found, theme);
	theme?.clearWoven(document);
	opening?.wire(placed.nodes, found, memory);
	live?.run(placed.nodes);
	parts?.wireParts(placed.nodes, nodesOf, memory);
}

async function load<Module>(base: string, isNeeded: boolean, name: string): Promise<Module | null> {
	return isNeeded ? ((await import(`${base}anbau-${name}.js`)) as Module) : null;
}

/** Loads the style, and the behaviour that some piece of the page needs, and no other. */
function loadBehaviour(base: string, found: PageDocument) {
	const { tabs, gallery, text, edges, houseParts, remembers } = found;
	const written = JSON.stringify(found);
	const has = (selector: string) => document.querySelector(selector) !== null;
	const hasTabs = tabs.length > 0;
	const isElsewhere = [gallery, text, edges, houseParts].some(({ length }) => length > 0);
	const needsTheme = isElsewhere || (hasTabs && !has('[data-anbau-tab]')) || has('[data-anbau-woven]');
	return Promise.all([
		load<{ placeTabs: typeof placeTabs }>(base, hasTabs || written.includes('data-anbau-tabs'), 'tabs'),
		load<{ wire: Wire }>(base, /data-anbau-(accordion|dialog|closable|pictures)/.test(written), 'opening'),
		load<{ valuesOf: typeof valuesOf }>(base, remembers || /data-anbau-(value|until|recent)/.test(written), 'values'),
		load<typeof Theme>(base, needsTheme, 'theme'),
		load<{ wireParts: typeof wireParts }>(base, /data-anbau-(reviews|frame)|<video/.test(written), 'parts'),
		(hasTabs || written.includes('"html"')) && loadStyle(base)
	]);
}
