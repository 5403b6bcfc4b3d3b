import { parseFragment } from 'parse5';
import type { Body, BodyPart } from './body.js';
import {
	attribute,
	childElements,
	hasBlock,
	isBlock,
	isDropped,
	isElement,
	type Element,
	type Node
} from './htmlNodes.js';
import type { Inline, Mark } from './inline.js';
import type { ListItem, Table, TableCell } from './parts.js';
import { inlinesOf, type ReadingOptions } from './readText.js';
import { quoteText } from './textForm.js';
import { wordLists } from './wordLists.js';

const MARK_OF: Record<string, Mark> = {
	strong: { type: 'bold' },
	b: { type: 'bold' },
	em: { type: 'italic' },
	i: { type: 'italic' },
	u: { type: 'underline' },
	s: { type: 'strike' },
	strike: { type: 'strike' },
	del: { type: 'strike' },
	code: { type: 'code' }
};

/**
 * Reads a body from HTML: paragraphs, headings, lists, tables, quotations, dividers, pictures, links and marks; of other
 * elements the text is kept, scripts and the like are dropped. Lists as word processors paste them are lists. Live
 * values are ICU arguments, `{product.title}`, unless `live` is false. Parsed by the WHATWG HTML Standard's algorithm.
 * Throws an Error with a plain sentence for braces that name no live value.
 */
export function bodyFromHtml(html: string, options: ReadingOptions = { live: true }): Body {
	return { type: 'doc', content: new HtmlReader(options).blocks(wordLists(parseFragment(html).childNodes)) };
}

class HtmlReader {
	constructor(private readonly options: ReadingOptions) {}

	blocks(nodes: readonly Node[]): BodyPart[] {
		const blocks: BodyPart[] = [];
		let run: Inline[] = [];
		const endRun = () => {
			const content = trimRun(run);
			if (content.length > 0) blocks.push({ type: 'paragraph', content });
			run = [];
		};
		for (const node of nodes) {
			if (isElement(node) && (isBlock(node) || hasBlock(node))) {
				endRun();
				blocks.push(...this.block(node));
			} else run.push(...this.inline(node, []));
		}
		endRun();
		return blocks;
	}

	private block(node: Element): BodyPart[] {
		const level = /^h([1-6])$/.exec(node.tagName)?.[1];
		if (level) {
			const content = trimRun(node.childNodes.flatMap((child) => this.inline(child, [])));
			return content.length > 0 ? [{ type: 'heading', attrs: { level: headingLevel(Number(level)) }, content }] : [];
		}
		switch (node.tagName) {
			case 'ul':
			case 'ol':
				return this.list(node);
			case 'table':
				return this.table(node);
			case 'hr':
				return [{ type: 'horizontalRule' }];
			case 'img': {
				const src = this.address(attribute(node, 'src'));
				return src ? [{ type: 'image', attrs: { src, alt: attribute(node, 'alt') ?? '' } }] : [];
			}
			case 'blockquote': {
				const content = this.blocks(node.childNodes);
				return content.length > 0 ? [{ type: 'blockquote', content }] : [];
			}
			default:
				return isDropped(node) ? [] : this.blocks(node.childNodes);
		}
	}

	private list(node: Element): BodyPart[] {
		const content = childElements(node, 'li').map((item) => this.item(item));
		if (content.length === 0) return [];
		if (node.tagName === 'ul') return [{ type: 'bulletList', content }];
		const start = Number(attribute(node, 'start') ?? 1);
		return [{ type: 'orderedList', attrs: { start: Number.isInteger(start) ? start : 1 }, content }];
	}

	private item(item: Element): ListItem {
		const content = this.blocks(item.childNodes);
		return { type: 'listItem', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
	}

	private table(node: Element): BodyPart[] {
		const groups = ['thead', 'tbody', 'tfoot'].flatMap((name) => childElements(node, name));
		const rows = [node, ...groups].flatMap((group) => childElements(group, 'tr'));
		const content = rows.flatMap((row): Table['content'] => {
			const cells = childElements(row, 'td', 'th').map((cell) => this.cell(cell));
			return cells.length > 0 ? [{ type: 'tableRow', content: cells }] : [];
		});
		return content.length > 0 ? [{ type: 'table', content }] : [];
	}

	private cell(cell: Element): TableCell {
		const content = this.blocks(cell.childNodes);
		const span = (name: string) => {
			const value = Number(attribute(cell, name) ?? 1);
			return Number.isInteger(value) && value > 1 && value <= 100 ? { [name]: value } : {};
		};
		const attrs = { ...span('colspan'), ...span('rowspan') };
		return {
			type: cell.tagName === 'th' ? 'tableHeader' : 'tableCell',
			...(Object.keys(attrs).length > 0 ? { attrs } : {}),
			content: content.length > 0 ? content : [{ type: 'paragraph' }]
		};
	}

	private inline(node: Node, marks: Mark[]): Inline[] {
		if (node.nodeName === '#text' && 'value' in node) {
			return inlinesOf(node.value.replace(/[\t\n\f\r ]+/g, ' '), marks, this.options);
		}
		if (!isElement(node) || isDropped(node)) return [];
		if (node.tagName === 'br') return [{ type: 'hardBreak' }];
		const mark = node.tagName === 'a' ? this.linkMark(node) : MARK_OF[node.tagName];
		const isNew = mark && !marks.some((one) => one.type === mark.type);
		return node.childNodes.flatMap((child) => this.inline(child, isNew ? [...marks, mark] : marks));
	}

	private linkMark(node: Element): Mark | undefined {
		const href = this.address(attribute(node, 'href'));
		return href ? { type: 'link', attrs: { href } } : undefined;
	}

	private address(address: string | undefined): string | undefined {
		return address === undefined || this.options.live ? address : quoteText(address);
	}
}

function headingLevel(level: number): 2 | 3 | 4 {
	return level <= 2 ? 2 : level === 3 ? 3 : 4;
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
