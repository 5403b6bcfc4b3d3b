import { hrefFault, srcFault } from './address.js';
import type { BodyPart, Body, Heading, Image, Inline, List, ListItem, Mark } from './body.js';
import { element, escapeHtml } from './html.js';
import { liveValue, type LiveContext } from './liveValues.js';
import { keepFollowedHeadings, type RenderedBlock } from './quiet.js';
import { parseText } from './textForm.js';

/** A part of a body that stays away on this product, and the live values it lacks. */
export interface Gone {
	/** JSON pointer into the body. */
	at: string;
	values: string[];
}

/** A body as HTML; empty when nothing of it is left. */
export interface RenderedBody {
	html: string;
	gone: Gone[];
}

/**
 * Renders a body to HTML, escaped by construction, under the quiet rule: a live value that is empty and has no
 * fallback takes its block with it (paragraph, list item), a heading followed by nothing goes, and what goes is
 * reported. A block with the rests of several tags is repeated, once for each.
 */
export function renderBody(body: Body, context: LiveContext): RenderedBody {
	const renderer = new BodyRenderer(context);
	return { html: renderer.blocks(body.content, '/content'), gone: renderer.gone };
}

class BodyRenderer {
	readonly gone: Gone[] = [];

	constructor(private readonly context: LiveContext) {}

	blocks(blocks: readonly BodyPart[], at: string): string {
		const rendered: RenderedBlock[] = [];
		blocks.forEach((block, i) => {
			for (const html of this.block(block, `${at}/${i}`)) {
				rendered.push({ html, level: block.type === 'heading' ? block.attrs.level : null });
			}
		});
		return keepFollowedHeadings(rendered);
	}

	/** A block as it comes out: not at all, once, or once for each of several tag rests. */
	private block(block: BodyPart, at: string): string[] {
		switch (block.type) {
			case 'paragraph':
				return this.repeated(block.content ?? [], at, (html) => element('p', {}, html));
			case 'heading':
				return this.heading(block, at);
			case 'image':
				return this.image(block, at);
			default:
				return this.list(block, at);
		}
	}

	private heading(block: Heading, at: string): string[] {
		return this.repeated(block.content ?? [], at, (html) => element(`h${block.attrs.level}`, {}, html));
	}

	private list(block: List, at: string): string[] {
		const items = block.content.flatMap((item, i) => this.listItem(item, `${at}/content/${i}`)).join('');
		if (items === '') return [];
		const start = block.type === 'orderedList' && (block.attrs?.start ?? 1) !== 1 ? block.attrs?.start : null;
		return [element(block.type === 'orderedList' ? 'ol' : 'ul', { start }, items)];
	}

	/** The first paragraph is the item's own line: where it goes, the item goes; where it repeats, the item does. */
	private listItem(item: ListItem, at: string): string[] {
		const [first, ...rest] = item.content;
		if (first?.type !== 'paragraph') {
			const html = this.blocks(item.content, `${at}/content`);
			return html === '' ? [] : [element('li', {}, html)];
		}
		const lines = this.repeated(first.content ?? [], `${at}/content/0`, (html) => html);
		if (lines.length === 0) return [];
		const below = rest.length > 0 ? this.blocks(rest, `${at}/content`) : '';
		return lines.map((line) => element('li', {}, below === '' ? line : element('p', {}, line) + below));
	}

	private image(block: Image, at: string): string[] {
		const src = this.address(block.attrs.src, srcFault);
		if (src.missing.length > 0) return this.leaveOut(at, src.missing);
		if (src.text === null) return [];
		return [element('img', { src: src.text, alt: block.attrs.alt ?? '', loading: 'lazy' })];
	}

	/** Renders a line of inline parts as often as its tag rests ask for; nothing when a value is missing. */
	private repeated(parts: readonly Inline[], at: string, wrap: (html: string) => string): string[] {
		if (parts.length === 0) return [];
		const missing: string[] = [];
		let times = 1;
		for (const part of parts) {
			if (part.type === 'liveValue') times = Math.max(times, this.need(part.attrs.name, part.attrs.fallback, missing));
			for (const mark of part.marks ?? []) {
				if (mark.type !== 'link') continue;
				for (const one of parseText(mark.attrs.href)) {
					if ('value' in one) times = Math.max(times, this.need(one.value, null, missing));
				}
			}
		}
		if (missing.length > 0) return this.leaveOut(at, [...new Set(missing)]);
		if (times === 1) return [wrap(this.line(parts, 0))];
		return Array.from({ length: times }, (_, turn) => wrap(this.line(parts, turn)));
	}

	/** How many values there are; notes one that is missing and has no fallback. */
	private need(name: string, fallback: string | null | undefined, missing: string[]): number {
		const { length } = liveValue(name, this.context);
		if (length === 0 && !fallback) missing.push(name);
		return length;
	}

	private line(parts: readonly Inline[], turn: number): string {
		let html = '';
		for (const part of parts) html += this.inline(part, turn);
		return html;
	}

	private leaveOut(at: string, values: string[]): string[] {
		this.gone.push({ at, values });
		return [];
	}

	private inline(part: Inline, turn: number): string {
		const html =
			part.type === 'text' ? escapeHtml(part.text) : part.type === 'hardBreak' ? '<br>' : this.value(part, turn);
		if (!part.marks) return html;
		return part.marks.reduceRight((inner, mark) => this.mark(mark, inner, turn), html);
	}

	private value(part: Extract<Inline, { type: 'liveValue' }>, turn: number): string {
		return escapeHtml(this.turnOf(part.attrs.name, turn) ?? part.attrs.fallback ?? '');
	}

	private turnOf(name: string, turn: number): string | undefined {
		const values = liveValue(name, this.context);
		return values[Math.min(turn, values.length - 1)];
	}

	private mark(mark: Mark, inner: string, turn: number): string {
		if (mark.type === 'link') {
			const href = this.address(mark.attrs.href, hrefFault, turn).text;
			return href === null ? inner : element('a', { href }, inner);
		}
		return element(MARK_ELEMENTS[mark.type], {}, inner);
	}

	/** An address with its live values filled in; no text when the values make it one that is not allowed. */
	private address(template: string, fault: (address: string) => string | null, turn = 0) {
		const missing: string[] = [];
		let text = '';
		for (const [i, part] of parseText(template).entries()) {
			const value = 'text' in part ? part.text : this.turnOf(part.value, turn);
			if (value === undefined && 'value' in part) missing.push(part.value);
			else text += 'text' in part || i === 0 ? (value ?? '') : encodeURIComponent(value ?? '');
		}
		return { text: missing.length > 0 || fault(text) !== null ? null : text, missing };
	}
}

const MARK_ELEMENTS = { bold: 'strong', italic: 'em', underline: 'u', strike: 's', code: 'code' } as const;
