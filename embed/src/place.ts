import type { HookEntry, PageDocument, TabEntry } from '@anbau/core/placement';
import { isClosed } from './closed.js';
import { nodesOf } from './page.js';
import type { BuildStrip, StripTab } from './tabs.js';

/** What was placed on a page. */
export interface Placed {
	/** Hooks of the document that the page does not have. */
	missing: string[];
	/** What holds a piece. */
	nodes: Element[];
	/** Whether the page took away or re-made a part that held something. */
	isLost(): boolean;
	/** Takes everything out again and gives the theme its own back. */
	undo(): void;
	/** Adds something that was placed, and how to take it out. */
	add(node: Element, undo: () => void): void;
}

/** Fills in what only the visitor's browser knows; answers whether anything is left to show. */
export type Prepare = (nodes: DocumentFragment) => boolean;

const DEVICES = ['phone', 'tablet', 'desktop'] as const;
const everything: Prepare = () => true;

/** Places the pieces that hang on point hooks. A hook that the page lacks is skipped. */
export function place(found: PageDocument, root: Document, prepare = everything): Placed {
	const nodes: Element[] = [];
	const undos: (() => void)[] = [];
	const missing: string[] = [];
	const placed: Placed = {
		missing,
		nodes,
		isLost: () => nodes.some((node) => !node.isConnected) || missing.some((hook) => markerOf(root, hook)),
		undo: () =>
			undos
				.splice(0)
				.reverse()
				.forEach((undo) => undo()),
		add: (node, undo) => {
			nodes.push(node);
			undos.push(undo);
		}
	};
	applyStyle(placed, root.documentElement, found.style);
	for (const [hook, entries] of Object.entries(found.hooks)) {
		const marker = markerOf(root, hook);
		if (!marker) missing.push(hook);
		else {
			for (const entry of entries) {
				const slot = slotOf(root, entry, prepare);
				if (!slot) continue;
				marker.append(slot);
				placed.add(slot, () => slot.remove());
			}
		}
	}
	return placed;
}

/** Merges the page's tabs with the theme's own, and makes strips of tab pieces that hang elsewhere. */
export function placeTabs(
	placed: Placed,
	found: PageDocument,
	root: Document,
	build: BuildStrip,
	prepare = everything
): void {
	buildOwnStrips(root, build);
	if (found.tabs.length === 0) return;
	const marker = markerOf(root, 'tabs');
	if (!marker) {
		if (found.tabs.some((tab) => tab.source === 'piece')) placed.missing.push('tabs');
		return;
	}
	const house = new Map(
		[...marker.querySelectorAll<HTMLElement>('[data-anbau-tab]')].map((panel) => [panel.dataset.anbauTab ?? '', panel])
	);
	const added: HTMLElement[] = [];
	const tabs: StripTab[] = [];
	const hiddenHouse: HTMLElement[] = [];
	for (const tab of found.tabs) {
		const panel = tab.source === 'house' ? house.get(tab.slug) : panelOf(root, tab, prepare);
		if (!panel) continue;
		house.delete(tab.slug);
		if (tab.source === 'piece') added.push(panel);
		if (tab.hidden) hiddenHouse.push(panel);
		else
			tabs.push({ slug: tab.slug, heading: tab.heading, icon: tab.icon, panel, classes: deviceClasses(tab.devices) });
	}
	// Panels of the theme that Anbau was never told of stay, behind the others.
	for (const panel of house.values()) tabs.push({ ...ownLabel(panel), panel });
	const shown = hiddenHouse.filter((panel) => !panel.hidden);
	for (const panel of shown) panel.hidden = true;
	marker.append(...added);
	const undoStrip = build(marker, tabs);
	placed.add(marker, () => {
		undoStrip();
		for (const panel of shown) panel.hidden = false;
		for (const panel of added) panel.remove();
	});
	for (const panel of added) placed.add(panel, () => panel.remove());
}

/** Makes strips of tab pieces that hang elsewhere. */
function buildOwnStrips(root: Document, build: BuildStrip): void {
	for (const container of root.querySelectorAll<HTMLElement>('.anbau-slot [data-anbau-tabs]')) {
		build(
			container,
			[...container.children].filter(isHtml).map((panel) => ({ ...ownLabel(panel), panel }))
		);
	}
}

/** Sets custom properties of the store's style, and takes them away again. Scripts may do so under any policy. */
function applyStyle(placed: Placed, element: HTMLElement, style: Record<string, string>): void {
	const names = Object.keys(style);
	if (names.length === 0) return;
	for (const name of names) element.style.setProperty(name, style[name] ?? null);
	placed.add(element, () => names.forEach((name) => element.style.removeProperty(name)));
}

/** Sets the custom properties that parts of a piece carry. */
function applyStyles(nodes: DocumentFragment): void {
	for (const element of nodes.querySelectorAll<HTMLElement>('[data-anbau-style]')) {
		const properties = JSON.parse(element.dataset.anbauStyle ?? '{}') as Record<string, string>;
		for (const [name, value] of Object.entries(properties)) {
			if (name.startsWith('--anbau-')) element.style.setProperty(name, value);
		}
	}
}

function markerOf(root: Document, hook: string): HTMLElement | null {
	return root.querySelector<HTMLElement>(`[data-anbau-hook="${CSS.escape(hook)}"]`);
}

/** HTML of a piece as nodes that are ready to be shown; null when nothing of it is. */
function readyNodes(html: string, prepare: Prepare): DocumentFragment | null {
	const nodes = nodesOf(html);
	if (!prepare(nodes)) return null;
	applyStyles(nodes);
	return nodes;
}

function slotOf(root: Document, entry: HookEntry, prepare: Prepare): HTMLElement | null {
	if (isClosed(entry)) return null;
	const nodes = readyNodes(entry.html, prepare);
	if (!nodes) return null;
	const slot = root.createElement('div');
	slot.className = ['anbau', 'anbau-slot', `anbau-${entry.width}`, ...deviceClasses(entry.devices)].join(' ');
	slot.dataset.anbauPiece = entry.piece;
	slot.append(nodes);
	return slot;
}

function panelOf(root: Document, tab: TabEntry, prepare: Prepare): HTMLElement | null {
	const nodes = readyNodes(tab.html ?? '', prepare);
	if (!nodes) return null;
	const panel = root.createElement('section');
	panel.className = ['anbau', 'anbau-panel', ...deviceClasses(tab.devices)].join(' ');
	panel.dataset.anbauPiece = tab.piece ?? '';
	panel.append(nodes);
	return panel;
}

/** A panel's slug and the text that labels it in the theme. */
function ownLabel(panel: HTMLElement): { slug: string; heading: string; icon: null } {
	const slug = panel.dataset.anbauTab ?? '';
	const label = panel.querySelector('[data-anbau-label], h2, h3');
	return { slug, heading: label?.textContent?.trim() || slug, icon: null };
}

function deviceClasses(devices: readonly string[] | undefined): string[] {
	return devices ? DEVICES.filter((device) => !devices.includes(device)).map((device) => `anbau-not-${device}`) : [];
}

function isHtml(element: Element): element is HTMLElement {
	return element instanceof HTMLElement;
}
