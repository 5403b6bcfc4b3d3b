import { parseFragment, type DefaultTreeAdapterTypes } from 'parse5';
import type { BodyPart, Body, Inline, ListItem, Mark } from './body.js';
import { parseText } from './textForm.js';

type Node = DefaultTreeAdapterTypes.ChildNode;
type Element = DefaultTreeAdapterTypes.Element;

const MARK_OF: Record<string, Mark> = {
	strong: { type: 'bold' },
	b: { type: 'bold' },
	em: { type: 'italic' },
	i: { type: 'italic' },
	u: { type: 'underline' },
	s: { type: 'strike' },
	del: { type: 'strike' },
	code: { type: 'code' }
};

/** Elements whose content is no text for readers. */
const DROPPED = new Set([
	'script',
	'style',
	'template',
	'noscript',
	'iframe',
	'object',
	'embed',
	'svg',
	'math',
	'head',
	'title',
	'textarea',
	'select'
]);

const BLOCKS = new Set([
	'p',
	'div',
	'section',
	'article',
	'h1',
	'h2',
	'h3',
	'h4',
	'h5',
	'h6',
	'ul',
	'ol',
	'li',
	'img',
	'blockquote',
	'table',
	'tr',
	'td',
	'th',
	'tbody',
	'thead'
]);

/**
 * Reads a body from HTML: paragraphs, headings, lists, pictures, links and marks; of other elements the text is
 * kept, scripts and the like are dropped. Live values are ICU arguments, `{product.title}`. Parsed by the WHATWG
 * HTML Standard's algorithm. Throws an Error with a plain sentence for braces that name no live value.
 */
export function bodyFromHtml(html: string): Body {
	return { type: 'doc', content: readBlocks(parseFragment(html).childNodes) };
}

function readBlocks(nodes: readonly Node[]): BodyPart[] {
	const blocks: BodyPart[] = [];
	let run: Inline[] = [];
	const endRun = () => {
		const content = trimRun(run);
		if (content.length > 0) blocks.push({ type: 'paragraph', content });
		run = [];
	};
	for (const node of nodes) {
		if (isElement(node) && (BLOCKS.has(node.tagName) || hasBlock(node))) {
			endRun();
			blocks.push(...readBlock(node));
		} else run.push(...readInline(node, []));
	}
	endRun();
	return blocks;
}

function readBlock(node: Element): BodyPart[] {
	const level = /^h([1-6])$/.exec(node.tagName)?.[1];
	if (level) {
		const content = trimRun(node.childNodes.flatMap((child) => readInline(child, [])));
		return content.length > 0 ? [{ type: 'heading', attrs: { level: headingLevel(Number(level)) }, content }] : [];
	}
	switch (node.tagName) {
		case 'ul':
		case 'ol': {
			const content = node.childNodes
				.filter(isElement)
				.filter((child) => child.tagName === 'li')
				.map(readItem);
			if (content.length === 0) return [];
			return [{ type: node.tagName === 'ol' ? 'orderedList' : 'bulletList', content }];
		}
		case 'img': {
			const src = attribute(node, 'src');
			return src ? [{ type: 'image', attrs: { src, alt: attribute(node, 'alt') ?? '' } }] : [];
		}
		default:
			return DROPPED.has(node.tagName) ? [] : readBlocks(node.childNodes);
	}
}

function headingLevel(level: number): 2 | 3 | 4 {
	return level <= 2 ? 2 : level === 3 ? 3 : 4;
}

function readItem(item: Element): ListItem {
	const content = readBlocks(item.childNodes);
	return { type: 'listItem', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}

function readInline(node: Node, marks: Mark[]): Inline[] {
	const own = marks.length > 0 ? { marks } : {};
	if (node.nodeName === '#text' && 'value' in node) {
		return parseText(node.value.replace(/[\t\n\f\r ]+/g, ' ')).map((part) =>
			'text' in part
				? { type: 'text', text: part.text, ...own }
				: { type: 'liveValue', attrs: { name: part.value }, ...own }
		);
	}
	if (!isElement(node) || DROPPED.has(node.tagName)) return [];
	if (node.tagName === 'br') return [{ type: 'hardBreak' }];
	const mark = node.tagName === 'a' ? linkMark(node) : MARK_OF[node.tagName];
	const inner = mark ? [...marks, mark] : marks;
	return node.childNodes.flatMap((child) => readInline(child, inner));
}

function linkMark(node: Element): Mark | undefined {
	const href = attribute(node, 'href');
	return href ? { type: 'link', attrs: { href } } : undefined;
}

/** Without the white space at either end that HTML does not show. */
function trimRun(run: Inline[]): Inline[] {
	const trimmed = [...run];
	for (let first = trimmed[0]; first?.type === 'text' && /^ /.test(first.text); first = trimmed[0]) {
		const text = first.text.trimStart();
		if (text) trimmed[0] = { ...first, text };
		else trimmed.shift();
	}
	for (let last = trimmed.at(-1); last?.type === 'text' && / $/.test(last.text); last = trimmed.at(-1)) {
		const text = last.text.trimEnd();
		if (text) trimmed[trimmed.length - 1] = { ...last, text };
		else trimmed.pop();
	}
	return trimmed;
}

function isElement(node: Node): node is Element {
	return 'tagName' in node;
}

function hasBlock(node: Element): boolean {
	return (
		!DROPPED.has(node.tagName) &&
		node.childNodes.some((child) => isElement(child) && (BLOCKS.has(child.tagName) || hasBlock(child)))
	);
}

function attribute(node: Element, name: string): string | undefined {
	return node.attrs.find((one) => one.name === name)?.value;
}
