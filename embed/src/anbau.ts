import type { PageDocument } from '@anbau/core/placement';
import type { byBinding } from './bound.js';
import { fetchDocument, type PageOf } from './fetchDocument.js';
import { byMarker } from './finder.js';
import { keepSpace, rememberedBindings, rememberSpace } from './heights.js';
import type { Wire } from './opening.js';
import { loadStyle, warnOfPolicy } from './page.js';
import { place, type Placed } from './place.js';
import type { placeElsewhere } from './places.js';
import type { placeTabs } from './placeTabs.js';
import { holding } from './slots.js';
import type { Strips } from './strips.js';
import type { valuesOf } from './values.js';
import type { adopting, clearWoven } from './woven.js';

/**
 * The storefront's script. It finds the page's hooks, fetches one document and places the pieces; whatever goes
 * wrong, the page stays as the theme made it.
 */
function start(script: HTMLScriptElement): void {
	const base = new URL('.', script.src).href;
	warnOfPolicy(new URL(base).origin);
	let placed: Placed | null = null;
	let current: PageDocument | null = null;
	let asked = '';
	// The document is asked for at once, while the page is still being read.
	let answer = { id: JSON.stringify(pageOf(script)), found: fetchDocument(base, pageOf(script)) };
	const observer = new MutationObserver(oncePerFrame(() => guard(look)));

	/** Finds hooks on this page; what binds them to a theme without markers is loaded when there is such a one. */
	async function finderFor(bindings: PageDocument['bindings']) {
		const needed = Object.keys(bindings).length > 0;
		const bound = await load<{ byBinding: typeof byBinding }>(base, needed, 'bound');
		return bound ? bound.byBinding(document, bindings) : byMarker(document);
	}

	/** Places the present document, in place of what an earlier one brought. */
	async function show(found: PageDocument, giveBack?: () => void): Promise<void> {
		const finder = await finderFor(found.bindings);
		const { tabs, opening, values, places, strips, woven } = await loadBehaviour(base, found);
		placed?.undo();
		giveBack?.();
		const live = values?.valuesOf(found, document);
		const prepare = live?.prepare ?? (() => true);
		const hold = holding(document, prepare);
		placed = place(found, document, finder, woven?.adopting(document, prepare, hold) ?? hold);
		places?.placeElsewhere(placed, found);
		tabs?.placeTabs(placed, found, strips);
		woven?.clearWoven(document);
		opening?.wire(placed.nodes, found);
		live?.run(placed.nodes);
		observer.takeRecords();
	}

	/** Sees whether the page became another one, or lost what was placed. */
	async function look(): Promise<void> {
		const page = pageOf(script);
		const id = JSON.stringify(page);
		if (id === asked) {
			if (current && placed?.isLost()) await show(current);
			return;
		}
		asked = id;
		if (answer.id !== id) answer = { id, found: fetchDocument(base, page) };
		const name = `${page.kind} ${page.id}`;
		const known = placed ? undefined : rememberedBindings(name);
		const giveBack = known && keepSpace(name, await finderFor(known));
		const found = await answer.found;
		if (id === asked) {
			current = found;
			if (found) {
				if (hasPieces(found)) await loadStyle(base);
				await show(found, giveBack);
				if (placed) rememberSpace(name, found, placed.finder);
				return;
			}
			placed?.undo();
		}
		giveBack?.();
	}

	const begin = () => {
		observer.observe(document.documentElement, { childList: true, subtree: true });
		observer.observe(script, { attributes: true });
		guard(look);
		const [, token] = location.hash.split('#anbau-hooks=');
		if (token) guard(() => import(`${base}${script.dataset.store}/owner.js?token=${token}`));
	};
	if (document.readyState === 'loading') document.addEventListener('DOMContentLoaded', begin);
	else begin();
}

/** Work that is done once in the next frame, however often it is asked for until then. */
function oncePerFrame(work: () => void): () => void {
	let scheduled = false;
	return () => {
		if (scheduled) return;
		scheduled = true;
		requestAnimationFrame(() => {
			scheduled = false;
			work();
		});
	};
}

async function load<Module>(base: string, isNeeded: boolean, name: string): Promise<Module | null> {
	return isNeeded ? ((await import(`${base}anbau-${name}.js`)) as Module) : null;
}

/** Loads the behaviour that some piece of the page needs, and no other. */
async function loadBehaviour(base: string, { hooks, tabs: list, text, edges, houseParts, remembers }: PageDocument) {
	const written = JSON.stringify([hooks, list, text, edges]);
	const has = (selector: string) => document.querySelector(selector) !== null;
	const [tabs, opening, values, places, strips, woven] = await Promise.all([
		load<{ placeTabs: typeof placeTabs }>(base, list.length > 0 || written.includes('data-anbau-tabs'), 'tabs'),
		load<{ wire: Wire }>(base, /data-anbau-(accordion|dialog|closable|pictures)/.test(written), 'opening'),
		load<{ valuesOf: typeof valuesOf }>(base, remembers || /data-anbau-(value|until|recent)/.test(written), 'values'),
		load<{ placeElsewhere: typeof placeElsewhere }>(base, [...text, ...edges, ...houseParts].length > 0, 'places'),
		load<Strips>(base, list.length > 0 && !has('[data-anbau-tab]'), 'strips'),
		load<{ adopting: typeof adopting; clearWoven: typeof clearWoven }>(base, has('[data-anbau-woven]'), 'woven')
	]);
	return { tabs, opening, values, places, strips, woven };
}

function pageOf({ dataset }: HTMLScriptElement): PageOf {
	return {
		store: dataset.store ?? '',
		kind: dataset.page ?? 'plain',
		id: dataset.id ?? '',
		visitor: dataset.visitor ?? '',
		campaign: new URLSearchParams(location.search).get('utm_campaign') ?? ''
	};
}

function hasPieces(found: PageDocument): boolean {
	return found.tabs.length + found.text.length + found.edges.length + Object.keys(found.hooks).length > 0;
}

/** Runs work and keeps its failure out of the page. */
function guard(work: () => Promise<unknown>): void {
	work().catch((error: unknown) => console.warn('Anbau left the page as it is.', error));
}

// However often the script is included, it runs once.
const RUNS = Symbol.for('anbau');
const own = document.currentScript;
if (own instanceof HTMLScriptElement && !(RUNS in window)) {
	Object.defineProperty(window, RUNS, { value: true });
	try {
		start(own);
	} catch (error) {
		console.warn('Anbau left the page as it is.', error);
	}
}
