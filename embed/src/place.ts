import { slotAttributes } from '@anbau/core/placement/onPage';
import type { HookEntry, PageDocument } from '@anbau/core/placement';
import type { Finder } from './finder.js';
import { nodesOf } from './page.js';
import type { Hold } from './slots.js';

/** What was placed on a page. */
export interface Placed {
	root: Document;
	finder: Finder;
	hold: Hold;
	/** Makes the element of an entry; null when nothing of it is to be shown. */
	slot(entry: HookEntry): HTMLElement | null;
	/** HTML of the document as nodes. */
	nodesOf: typeof nodesOf;
	/** Hooks of the document that the page does not have. */
	lacking: string[];
	/** What holds a piece. */
	nodes: Element[];
	/** Whether the page took away or re-made a part that held something. */
	isLost(): boolean;
	/** Takes everything out again and gives the theme its own back. */
	undo(): void;
	/** Adds something that was placed, and how to take it out. */
	add(node: Element, undo: () => unknown): void;
}

/** Places the pieces that hang on hooks between parts of the page. A hook that the page lacks is skipped. */
export function place({ style, hooks }: PageDocument, root: Document, finder: Finder, hold: Hold): Placed {
	const nodes: Element[] = [];
	const undos: (() => unknown)[] = [];
	const lacking: string[] = [];
	const placed: Placed = {
		root,
		finder,
		hold,
		slot: (entry) => hold('div', slotAttributes(entry), entry.html),
		nodesOf,
		lacking,
		nodes,
		isLost: () => nodes.some((node) => !node.isConnected) || lacking.some((hook) => finder.at(hook)),
		undo: () => {
			for (const undo of undos.splice(0).reverse()) undo();
			finder.release();
		},
		add: (node, undo) => {
			nodes.push(node);
			undos.push(undo);
		}
	};
	applyStyle(placed, style);
	for (const [hook, entries] of Object.entries(hooks)) {
		const holder = finder.holder(hook);
		if (!holder) lacking.push(hook);
		else {
			for (const entry of entries) {
				const slot = placed.slot(entry);
				if (!slot) continue;
				holder.append(slot);
				placed.add(slot, () => slot.remove());
			}
		}
	}
	return placed;
}

/** Sets custom properties of the store's style, and takes them away again. Scripts may do so under any policy. */
function applyStyle({ root, add }: Placed, properties: Record<string, string>): void {
	const { documentElement: element } = root;
	for (const [name, value] of Object.entries(properties)) {
		element.style.setProperty(name, value);
		add(element, () => element.style.removeProperty(name));
	}
}
