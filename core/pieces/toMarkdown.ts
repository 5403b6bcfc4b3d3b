import { gfmTableToMarkdown } from 'mdast-util-gfm-table';
import { toMarkdown } from 'mdast-util-to-markdown';
import type { BlockContent, Paragraph, PhrasingContent, Root, TableRow } from 'mdast';
import type { Body, BodyPart } from './body.js';
import type { Inline, Mark } from './inline.js';
import { quoteText, writeValue, type ValuePart } from './textForm.js';

/** A body as Markdown, and its parts that Markdown has no words for, which are left out of it. */
export interface Written {
	markdown: string;
	left: { at: string; type: BodyPart['type'] }[];
}

/**
 * Writes a body as Markdown (CommonMark 0.31, with the tables of GitHub Flavored Markdown); `bodyFromMarkdown` reads it
 * back. Live values are ICU arguments; a fallback has no form there and is left out.
 */
export function bodyToMarkdown(body: Body): Written {
	const writer = new MarkdownWriter();
	const root: Root = { type: 'root', children: writer.blocks(body.content, '') };
	const markdown = toMarkdown(root, { extensions: [gfmTableToMarkdown()], bullet: '-', emphasis: '_', rule: '-' });
	return { markdown: markdown.trimEnd(), left: writer.left };
}

class MarkdownWriter {
	readonly left: Written['left'] = [];

	blocks(parts: readonly BodyPart[], at: string): BlockContent[] {
		return parts.flatMap((part, i) => this.block(part, `${at}/content/${i}`));
	}

	private block(part: BodyPart, at: string): BlockContent[] {
		switch (part.type) {
			case 'paragraph':
				return part.content?.length ? [paragraph(part.content)] : [];
			case 'heading':
				return [{ type: 'heading', depth: part.attrs.level, children: phrasing(part.content ?? []) }];
			case 'bulletList':
			case 'orderedList': {
				const ordered = part.type === 'orderedList';
				const children = part.content.map((item, i) => ({
					type: 'listItem' as const,
					spread: false,
					children: this.blocks(item.content, `${at}/content/${i}`)
				}));
				return [{ type: 'list', ordered, start: ordered ? (part.attrs?.start ?? 1) : null, spread: false, children }];
			}
			case 'blockquote':
				return [{ type: 'blockquote', children: this.blocks(part.content, at) }];
			case 'horizontalRule':
				return [{ type: 'thematicBreak' }];
			case 'image': {
				const image = { type: 'image' as const, url: part.attrs.src, alt: part.attrs.alt ?? '' };
				return [{ type: 'paragraph', children: [image] }];
			}
			case 'table':
				return [{ type: 'table', children: part.content.map(tableRow) }];
			default:
				this.left.push({ at, type: part.type });
				return [];
		}
	}
}

function paragraph(content: readonly Inline[]): Paragraph {
	return { type: 'paragraph', children: phrasing(content) };
}

function tableRow({ content }: Extract<BodyPart, { type: 'table' }>['content'][number]): TableRow {
	return {
		type: 'tableRow',
		children: content.map((cell) => ({
			type: 'tableCell',
			children: cell.content.flatMap((part) => (part.type === 'paragraph' ? phrasing(part.content ?? []) : []))
		}))
	};
}

function phrasing(content: readonly Inline[]): PhrasingContent[] {
	return content.map((part) => (part.marks ?? []).reduceRight(marked, bare(part)));
}

function bare(part: Inline): PhrasingContent {
	if (part.type === 'hardBreak') return { type: 'break' };
	if (part.type === 'text') {
		const isCode = part.marks?.some((mark) => mark.type === 'code');
		return { type: isCode ? 'inlineCode' : 'text', value: quoteText(part.text) };
	}
	const { name, format, forms } = part.attrs;
	const value: ValuePart = { value: name, ...(format ? { format } : {}), ...(forms ? { forms } : {}) };
	return { type: 'text', value: writeValue(value) };
}

function marked(inner: PhrasingContent, mark: Mark): PhrasingContent {
	switch (mark.type) {
		case 'bold':
			return { type: 'strong', children: [inner] };
		case 'italic':
			return { type: 'emphasis', children: [inner] };
		case 'link':
			return { type: 'link', url: mark.attrs.href, children: [inner] };
		default:
			return inner;
	}
}
