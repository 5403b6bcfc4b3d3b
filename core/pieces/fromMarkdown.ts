import { fromMarkdown as parseMarkdown } from 'mdast-util-from-markdown';
import type { BodyPart, Body, Inline, ListItem, Mark } from './body.js';
import { parseText } from './textForm.js';

type Root = ReturnType<typeof parseMarkdown>;
type BlockNode = Root['children'][number];
type ItemNode = Extract<BlockNode, { type: 'list' }>['children'][number];
type InlineNode = Extract<BlockNode, { type: 'paragraph' }>['children'][number];

/**
 * Reads a body from Markdown (CommonMark 0.31). Live values are ICU arguments, `{product.title}`. Raw HTML is kept
 * as the text it is. Throws an Error that names the line when a part has no place in a body.
 */
export function bodyFromMarkdown(markdown: string): Body {
	const root = parseMarkdown(markdown);
	return { type: 'doc', content: root.children.flatMap(readBlock) };
}

function readBlock(node: BlockNode): BodyPart[] {
	switch (node.type) {
		case 'paragraph':
			return readParagraph(node.children);
		case 'heading': {
			const level = node.depth <= 2 ? 2 : node.depth === 3 ? 3 : 4;
			return [{ type: 'heading', attrs: { level }, ...contentOf(readInlines(node.children, [])) }];
		}
		case 'list': {
			const content = node.children.map(readItem);
			return node.ordered
				? [{ type: 'orderedList', attrs: { start: node.start ?? 1 }, content }]
				: [{ type: 'bulletList', content }];
		}
		case 'html':
			return [{ type: 'paragraph', ...contentOf(readText(node.value, [], node)) }];
		default:
			throw refusal(node);
	}
}

function readItem(item: ItemNode): ListItem {
	const content = item.children.flatMap(readBlock);
	return { type: 'listItem', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}

/** A paragraph; a picture in it becomes a block of its own between what stands before and after it. */
function readParagraph(nodes: InlineNode[]): BodyPart[] {
	const blocks: BodyPart[] = [];
	let run: InlineNode[] = [];
	const endRun = () => {
		const content = readInlines(run, []);
		if (content.length > 0) blocks.push({ type: 'paragraph', content });
		run = [];
	};
	for (const node of nodes) {
		if (node.type !== 'image') run.push(node);
		else {
			endRun();
			blocks.push({ type: 'image', attrs: { src: node.url, alt: node.alt ?? '' } });
		}
	}
	endRun();
	return blocks;
}

function readInlines(nodes: InlineNode[], marks: Mark[]): Inline[] {
	return nodes.flatMap((node): Inline[] => {
		switch (node.type) {
			case 'text':
			case 'html':
				return readText(node.value, marks, node);
			case 'strong':
				return readInlines(node.children, [...marks, { type: 'bold' }]);
			case 'emphasis':
				return readInlines(node.children, [...marks, { type: 'italic' }]);
			case 'inlineCode':
				return readText(node.value, [...marks, { type: 'code' }], node);
			case 'link':
				return readInlines(node.children, [...marks, { type: 'link', attrs: { href: node.url } }]);
			case 'break':
				return [{ type: 'hardBreak' }];
			default:
				throw refusal(node);
		}
	});
}

function readText(text: string, marks: Mark[], node: BlockNode | InlineNode): Inline[] {
	const own = marks.length > 0 ? { marks } : {};
	try {
		return parseText(text).map((part) =>
			'text' in part
				? { type: 'text', text: part.text, ...own }
				: { type: 'liveValue', attrs: { name: part.value }, ...own }
		);
	} catch (error) {
		throw new Error(`line ${lineOf(node)} ${error instanceof Error ? error.message : String(error)}`, { cause: error });
	}
}

function contentOf(inlines: Inline[]): { content?: Inline[] } {
	return inlines.length > 0 ? { content: inlines } : {};
}

const PART_NAMES: Record<string, string> = {
	blockquote: 'a quotation',
	code: 'a block of code',
	thematicBreak: 'a dividing line',
	definition: 'a link definition',
	linkReference: 'a link by reference',
	imageReference: 'a picture by reference',
	image: 'a picture inside marked text'
};

function refusal(node: BlockNode | InlineNode): Error {
	return new Error(`line ${lineOf(node)} has ${PART_NAMES[node.type] ?? node.type}, which a body cannot hold`);
}

function lineOf(node: BlockNode | InlineNode): number {
	return node.position?.start.line ?? 1;
}
