import type { PageDocument } from '@anbau/core/placement';
import { byBinding } from './bound.js';
import { memory } from './memory.js';
import { wire } from './opening.js';
import { place, type Placed } from './place.js';
import { nodesOf } from './page.js';
import { wireParts } from './parts.js';
import { placeElsewhere } from './places.js';
import { placeTabs } from './placeTabs.js';
import { holding } from './slots.js';
import * as strips from './strips.js';

/** What the owner's workbench sends: a document to show in this snapshot of a page, and the piece to look at. */
interface Order {
	anbau: 'show';
	document: PageDocument;
	focus: string | null;
}

let placed: Placed | null = null;

/** Shows a document in the snapshot and answers which of its hooks the page lacks. */
function show({ document: found, focus }: Order): void {
	const openTab = document.querySelector('.anbau-tab:is([aria-selected="true"], [aria-expanded="true"])')?.textContent;
	placed?.undo();
	const hold = holding(document, () => true);
	placed = place(found, document, byBinding(document, found.bindings), hold);
	placeElsewhere(placed, found);
	placeTabs(placed, found, strips);
	wire(placed.nodes, found, memory);
	wireParts(placed.nodes, nodesOf, memory);
	parent.postMessage({ anbau: 'shown', missing: placed.lacking }, '*');
	if (focus !== null) lookAt(focus, openTab ?? null);
}

function lookAt(piece: string, openTab: string | null): void {
	const nodes = document.querySelectorAll<HTMLElement>(`[data-anbau-piece="${CSS.escape(piece)}"]`);
	const [first] = nodes;
	for (const node of nodes) node.classList.add('anbau-looked-at');
	const tabs = [...document.querySelectorAll<HTMLElement>('.anbau-tab')];
	const own = tabs.filter((tab) => [...nodes].some((node) => node.id === tab.getAttribute('aria-controls')));
	const chosen = own.find((tab) => tab.textContent === openTab) ?? own[0];
	// A panel of an accordion that is open already would close.
	if (chosen?.getAttribute('aria-expanded') !== 'true') chosen?.click();
	const shown = own[0] ?? first;
	if (!shown) return;
	// Not scrollIntoView, which would move the workbench round this frame too.
	const { top, height } = shown.getBoundingClientRect();
	scrollTo({ top: scrollY + top + height / 2 - innerHeight / 2 });
}

addEventListener('message', ({ data, source }: MessageEvent<unknown>) => {
	if (source !== parent || typeof data !== 'object' || data === null || !('anbau' in data) || data.anbau !== 'show')
		return;
	show(data as Order);
});
// A preview is to be looked at: nothing in it leads away.
addEventListener('click', (event) => {
	if (event.target instanceof Element && event.target.closest('a[href], button:not(.anbau-tab)'))
		event.preventDefault();
});
addEventListener('submit', (event) => event.preventDefault());
parent.postMessage({ anbau: 'ready' }, '*');
