import { LRUCache } from 'lru-cache';
import { parse, serialize, defaultTreeAdapter as tree, type DefaultTreeAdapterTypes } from 'parse5';
import { fetchShopPage } from './shopPage.js';

type Element = DefaultTreeAdapterTypes.Element;
type ParentNode = DefaultTreeAdapterTypes.ParentNode;

const pages = new LRUCache<string, string>({ max: 60, ttl: 60_000 });

/**
 * The HTML of a shop's public page as a guest gets it, made ready to be previewed: scripts taken out, addresses
 * relative to the page, and the preview's own script and style put in. Kept for a minute.
 */
export async function pageSnapshot(
	address: string,
	storeUrl: string,
	preview: { script: string; style: string }
): Promise<string> {
	const known = pages.get(address);
	if (known !== undefined) return known;
	const html = await fetchShopPage(address, storeUrl);
	const snapshot = prepare(html, address, preview);
	pages.set(address, snapshot);
	return snapshot;
}

function prepare(html: string, address: string, { script, style }: { script: string; style: string }): string {
	const document = parse(html);
	removeScripts(document);
	const head = findElement(document, 'head');
	if (!head) throw new Error('an HTML document has a head by the parser’s rules');
	const base = findElement(head, 'base');
	if (!base) prepend(head, 'base', { href: address });
	append(head, 'link', { rel: 'stylesheet', href: style });
	append(head, 'script', { src: script, async: '' });
	return serialize(document);
}

function removeScripts(parent: ParentNode): void {
	for (const node of [...parent.childNodes]) {
		if (!tree.isElementNode(node)) continue;
		const name = node.tagName;
		const isData =
			name === 'script' && node.attrs.some((one) => one.name === 'type' && one.value === 'application/ld+json');
		const refresh = name === 'meta' && node.attrs.some((one) => one.name === 'http-equiv');
		if ((name === 'script' && !isData) || refresh) tree.detachNode(node);
		else {
			node.attrs = node.attrs.filter((one) => !one.name.startsWith('on'));
			removeScripts(node);
			if ('content' in node) removeScripts((node as DefaultTreeAdapterTypes.Template).content);
		}
	}
}

function findElement(parent: ParentNode, name: string): Element | undefined {
	for (const node of parent.childNodes) {
		if (!tree.isElementNode(node)) continue;
		const found = node.tagName === name ? node : findElement(node, name);
		if (found) return found;
	}
	return undefined;
}

function make(name: string, attributes: Record<string, string>): Element {
	const attrs = Object.entries(attributes).map(([key, value]) => ({ name: key, value }));
	return tree.createElement(name, 'http://www.w3.org/1999/xhtml' as Parameters<typeof tree.createElement>[1], attrs);
}

function append(parent: Element, name: string, attributes: Record<string, string>): void {
	tree.appendChild(parent, make(name, attributes));
}

function prepend(parent: Element, name: string, attributes: Record<string, string>): void {
	const [first] = parent.childNodes;
	if (first) tree.insertBefore(parent, make(name, attributes), first);
	else tree.appendChild(parent, make(name, attributes));
}
