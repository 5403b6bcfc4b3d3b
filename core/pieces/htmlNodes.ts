import type { DefaultTreeAdapterTypes } from 'parse5';

export type Node = DefaultTreeAdapterTypes.ChildNode;
export type Element = DefaultTreeAdapterTypes.Element;

const words = (text: string) => new Set(text.split(' '));

/** Elements whose content is no text for readers. */
const DROPPED = words('script style template noscript iframe object embed svg math head title textarea select');
const BLOCKS = words(
	'p div section article main header footer aside h1 h2 h3 h4 h5 h6 ul ol li img blockquote hr table tr td th tbody thead tfoot pre figure'
);

export function isElement(node: Node): node is Element {
	return 'tagName' in node;
}

/** Whether an element's content is nothing for readers. */
export function isDropped(node: Element): boolean {
	return DROPPED.has(node.tagName);
}

/** Whether an element begins a block of its own. */
export function isBlock(node: Element): boolean {
	return BLOCKS.has(node.tagName);
}

/** Whether a block lies somewhere in an element. */
export function hasBlock(node: Element): boolean {
	return !isDropped(node) && node.childNodes.some((child) => isElement(child) && (isBlock(child) || hasBlock(child)));
}

export function attribute(node: Element, name: string): string | undefined {
	return node.attrs.find((one) => one.name === name)?.value;
}

/** The children of an element that have one of these names. */
export function childElements(node: Element, ...names: string[]): Element[] {
	return node.childNodes.filter(isElement).filter((child) => names.includes(child.tagName));
}
