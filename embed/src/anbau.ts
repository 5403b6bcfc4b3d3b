import type { PageDocument } from '@anbau/core/placement';
import { fetchDocument, type PageOf } from './fetchDocument.js';
import { loadStyle, warnOfPolicy } from './page.js';
import { place, placeTabs, type Placed } from './place.js';
import type { Wire } from './opening.js';
import type { BuildStrip } from './tabs.js';
import type { valuesOf } from './values.js';

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
	const observer = new MutationObserver(oncePerFrame(() => guard(look)));

	/** Places the present document, in place of what an earlier one brought. */
	async function show(document_: PageDocument): Promise<void> {
		const [tabs, opening, values] = await loadBehaviour(base, document_);
		placed?.undo();
		const live = values?.valuesOf(document_, document);
		placed = place(document_, document, live?.prepare);
		if (tabs) placeTabs(placed, document_, document, tabs.buildStrip, live?.prepare);
		opening?.wire(placed.nodes, document_);
		live?.run(placed.nodes);
		observer.takeRecords();
	}

	/** Sees whether the page became another one, or lost what was placed. */
	async function look(): Promise<void> {
		const page = pageOf(script);
		const id = JSON.stringify(page);
		if (id !== asked) {
			asked = id;
			const found = await fetchDocument(base, page);
			if (id !== asked) return;
			if (found && hasPieces(found)) await loadStyle(base);
			current = found;
			if (found) await show(found);
			else placed?.undo();
		} else if (current && placed?.isLost()) await show(current);
	}

	const begin = () => {
		observer.observe(document.documentElement, { childList: true, subtree: true });
		observer.observe(script, { attributes: true });
		guard(look);
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

/** Loads the behaviour that some piece of the page needs, and no other. */
function loadBehaviour(base: string, { hooks, tabs, remembers }: PageDocument) {
	const written = JSON.stringify([hooks, tabs]);
	const load = async <Module>(needed: boolean, name: string) =>
		needed ? ((await import(`${base}${name}.js`)) as Module) : null;
	return Promise.all([
		load<{ buildStrip: BuildStrip }>(tabs.length > 0 || written.includes('data-anbau-tabs'), 'anbau-tabs'),
		load<{ wire: Wire }>(/data-anbau-(accordion|dialog|closable|pictures)/.test(written), 'anbau-opening'),
		load<{ valuesOf: typeof valuesOf }>(remembers || /data-anbau-(value|until|recent)/.test(written), 'anbau-values')
	]);
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
	return found.tabs.length > 0 || Object.keys(found.hooks).length > 0;
}

/** Runs work and keeps its failure out of the page. */
function guard(work: () => Promise<void>): void {
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
