import { defaultTreeAdapter as tree, type DefaultTreeAdapterTypes } from 'parse5';
import { attribute, isElement, type Element, type Node } from './htmlNodes.js';

/**
 * Word processors paste list items as paragraphs of a class, with the bullet as text marked to be ignored
 * (`MsoListParagraph`, `mso-list:Ignore`; common practice, from memory). Makes lists of such runs of paragraphs.
 */
export function wordLists(nodes: readonly Node[]): Node[] {
	const out: Node[] = [];
	let list: Element | null = null;
	for (const node of nodes) {
		if (isElement(node) && isListParagraph(node)) {
			const name = isNumbered(node) ? 'ol' : 'ul';
			if (list?.tagName !== name) out.push((list = make(name)));
			const item = make('li');
			for (const child of [...node.childNodes]) if (!isIgnored(child)) tree.appendChild(item, child);
			tree.appendChild(list, item);
			continue;
		}
		if (isElement(node)) node.childNodes = wordLists(node.childNodes);
		// White space and comments between two items do not end their list.
		if (isElement(node) || ('value' in node && node.value.trim() !== '')) list = null;
		out.push(node);
	}
	return out;
}

const make = (name: string): Element =>
	tree.createElement(name, 'http://www.w3.org/1999/xhtml' as DefaultTreeAdapterTypes.Element['namespaceURI'], []);

function isListParagraph(node: Element): boolean {
	return node.tagName === 'p' && /^MsoListParagraph/.test(attribute(node, 'class') ?? '');
}

function isIgnored(node: Node): boolean {
	return isElement(node) && /mso-list:\s*Ignore/i.test(attribute(node, 'style') ?? '');
}

/** Whether the ignored bullet begins with a digit or a letter. */
function isNumbered(node: Element): boolean {
	const bullet = node.childNodes.find(isIgnored);
	return bullet !== undefined && /^\s*[0-9a-z]+[.)]/i.test(textOf(bullet));
}

function textOf(node: Node): string {
	if ('value' in node) return node.value;
	return 'childNodes' in node ? node.childNodes.map(textOf).join('') : '';
}
