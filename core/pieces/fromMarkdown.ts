import { fromMarkdown as parseMarkdown } from 'mdast-util-from-markdown';
import { gfmTableFromMarkdown } from 'mdast-util-gfm-table';
import { gfmTable } from 'micromark-extension-gfm-table';
import type { Definition, PhrasingContent, RootContent, ListItem as ItemNode } from 'mdast';
import type { Body, BodyPart } from './body.js';
import type { Inline, Mark } from './inline.js';
import type { ListItem, Table } from './parts.js';
import { inlinesOf, type ReadingOptions } from './readText.js';
import { quoteText } from './textForm.js';

/**
 * Reads a body from Markdown (CommonMark 0.31, with the tables of GitHub Flavored Markdown). Live values are ICU
 * arguments, `{product.title}`, unless `live` is false. Raw HTML is kept as the text it is, a block of code as lines of
 * code. Throws an Error that names the line when a live value cannot be read.
 */
export function bodyFromMarkdown(markdown: string, options: ReadingOptions = { live: true }): Body {
	const root = parseMarkdown(markdown, { extensions: [gfmTable()], mdastExtensions: [gfmTableFromMarkdown()] });
	const definitions = new Map<string, Definition>();
	const collect = (node: unknown) => {
		if (typeof node !== 'object' || node === null) return;
		if ('type' in node && node.type === 'definition') {
			const definition = node as Definition;
			if (!definitions.has(definition.identifier)) definitions.set(definition.identifier, definition);
		}
		if ('children' in node && Array.isArray(node.children)) node.children.forEach(collect);
	};
	collect(root);
	const reader = new MarkdownReader(options, definitions);
	return { type: 'doc', content: root.children.flatMap((node) => reader.block(node)) };
}

class MarkdownReader {
	constructor(
		private readonly options: ReadingOptions,
		private readonly definitions: ReadonlyMap<string, Definition>
	) {}

	block(node: RootContent): BodyPart[] {
		switch (node.type) {
			case 'paragraph':
				return this.paragraph(node.children);
			case 'heading': {
				const level = node.depth <= 2 ? 2 : node.depth === 3 ? 3 : 4;
				return [{ type: 'heading', attrs: { level }, ...contentOf(this.inlines(node.children, [])) }];
			}
			case 'list': {
				const content = node.children.map((item) => this.item(item));
				return node.ordered
					? [{ type: 'orderedList', attrs: { start: node.start ?? 1 }, content }]
					: [{ type: 'bulletList', content }];
			}
			case 'blockquote': {
				const content = node.children.flatMap((child) => this.block(child));
				return content.length > 0 ? [{ type: 'blockquote', content }] : [];
			}
			case 'thematicBreak':
				return [{ type: 'horizontalRule' }];
			case 'code':
				return [{ type: 'paragraph', ...contentOf(codeLines(node.value)) }];
			case 'html':
				return [{ type: 'paragraph', ...contentOf(this.text(node.value, [], node)) }];
			case 'table':
				return [this.table(node.children)];
			default:
				return [];
		}
	}

	private item(item: ItemNode): ListItem {
		const content = item.children.flatMap((child) => this.block(child));
		return { type: 'listItem', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
	}

	private table(rows: Extract<RootContent, { type: 'table' }>['children']): Table {
		const content = rows.map((row, i): Table['content'][number] => ({
			type: 'tableRow',
			content: row.children.map((cell) => ({
				type: i === 0 ? 'tableHeader' : 'tableCell',
				content: [{ type: 'paragraph', ...contentOf(this.inlines(cell.children, [])) }]
			}))
		}));
		return { type: 'table', content };
	}

	/** A paragraph; a picture in it becomes a block of its own between what stands before and after it. */
	private paragraph(nodes: PhrasingContent[]): BodyPart[] {
		const blocks: BodyPart[] = [];
		let run: PhrasingContent[] = [];
		const endRun = () => {
			const content = this.inlines(run, []);
			if (content.length > 0) blocks.push({ type: 'paragraph', content });
			run = [];
		};
		for (const node of nodes) {
			const picture = this.picture(node);
			if (!picture) run.push(node);
			else {
				endRun();
				blocks.push(picture);
			}
		}
		endRun();
		return blocks;
	}

	private picture(node: PhrasingContent): BodyPart | null {
		if (node.type !== 'image' && node.type !== 'imageReference') return null;
		const url = node.type === 'image' ? node.url : this.definitions.get(node.identifier)?.url;
		return url === undefined ? null : { type: 'image', attrs: { src: this.address(url), alt: node.alt ?? '' } };
	}

	private inlines(nodes: readonly PhrasingContent[], marks: Mark[]): Inline[] {
		return nodes.flatMap((node): Inline[] => {
			switch (node.type) {
				case 'text':
				case 'html':
					return this.text(node.value, marks, node);
				case 'strong':
					return this.inlines(node.children, withMark(marks, { type: 'bold' }));
				case 'emphasis':
					return this.inlines(node.children, withMark(marks, { type: 'italic' }));
				case 'inlineCode':
					return this.text(node.value, withMark(marks, { type: 'code' }), node);
				case 'link':
					return this.inlines(node.children, this.linked(marks, node.url));
				case 'linkReference':
					return this.inlines(node.children, this.linked(marks, this.definitions.get(node.identifier)?.url));
				case 'break':
					return [{ type: 'hardBreak' }];
				case 'image':
				case 'imageReference':
					// Inside marked text a picture is what it shows, in words.
					return this.text(node.alt ?? '', marks, node);
				default:
					return [];
			}
		});
	}

	private linked(marks: Mark[], url: string | undefined): Mark[] {
		return url ? withMark(marks, { type: 'link', attrs: { href: this.address(url) } }) : marks;
	}

	private text(
		text: string,
		marks: readonly Mark[],
		node: { position?: { start: { line: number } } | undefined }
	): Inline[] {
		try {
			return inlinesOf(text, marks, this.options);
		} catch (error) {
			const reason = error instanceof Error ? error.message : String(error);
			throw new Error(`line ${node.position?.start.line ?? 1} ${reason}`, { cause: error });
		}
	}

	/** An address; a browser would read a backslash as a slash, so what may not stand in one is encoded (RFC 3986). */
	private address(url: string): string {
		const encoded = url.replace(/[\\[\]]/g, encodeURIComponent);
		return this.options.live ? encoded : quoteText(encoded);
	}
}

/** Marks with one more; one of its type that is there stays the outer one. */
function withMark(marks: Mark[], mark: Mark): Mark[] {
	return marks.some((one) => one.type === mark.type) ? marks : [...marks, mark];
}

function codeLines(text: string): Inline[] {
	return text.split('\n').flatMap((line, i): Inline[] => {
		const code: Inline[] = line === '' ? [] : [{ type: 'text', text: line, marks: [{ type: 'code' }] }];
		return i === 0 ? code : [{ type: 'hardBreak' }, ...code];
	});
}

function contentOf(inlines: Inline[]): { content?: Inline[] } {
	return inlines.length > 0 ? { content: inlines } : {};
}
