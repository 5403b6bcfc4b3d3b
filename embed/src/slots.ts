import type { Attributes } from '@anbau/core/placement/onPage';
import { nodesOf } from './page.js';

/** Fills in what only the visitor's browser knows; answers whether anything is left to show. */
export type Prepare = (nodes: ParentNode & Node) => boolean;

/** Makes the element that holds a piece; null when nothing of it is to be shown. `head` is a heading above the piece. */
export type Hold = (name: 'div' | 'section', attributes: Attributes, html: string, head?: string) => HTMLElement | null;

/** How elements that hold pieces are made on a page. */
export function holding(root: Document, prepare: Prepare): Hold {
	return (name, attributes, html, head) => {
		const nodes = nodesOf(html);
		if (!prepare(nodes)) return null;
		const element = root.createElement(name);
		for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value);
		if (head) {
			element.append(nodesOf('<h2 class="anbau-label" data-anbau-label></h2>'));
			element.children[0]?.append(head);
		}
		element.append(nodes);
		return styled(element);
	};
}

/** Sets the custom properties that an element and its parts carry. Scripts may do so under any policy. */
export function styled(element: HTMLElement): HTMLElement {
	for (const part of [element, ...element.querySelectorAll<HTMLElement>('[data-anbau-style]')]) {
		const properties = JSON.parse(part.dataset.anbauStyle ?? '{}') as Record<string, string>;
		for (const [name, value] of Object.entries(properties)) {
			if (name.startsWith('--anbau-')) part.style.setProperty(name, value);
		}
	}
	return element;
}
