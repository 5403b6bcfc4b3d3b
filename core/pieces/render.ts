import { hrefFault } from './address.js';
import type { Body, BodyPart } from './body.js';
import { element, escapeHtml } from './html.js';
import type { Inline, Mark } from './inline.js';
import type { LiveContext } from './liveContext.js';
import { formatValue } from './liveFormat.js';
import { inlineValue } from './liveHtml.js';
import { liveValues, type LiveValue } from './liveValues.js';
import { keepFollowedHeadings, type RenderedBlock } from './quiet.js';
import { PART_RENDERERS } from './renderParts.js';
import { parseText } from './textForm.js';

/** A part of a body that stays away on this page, and the live values it lacks. */
export interface Gone {
	/** JSON pointer into the body. */
	at: string;
	values: string[];
}

/** A body as HTML; empty when nothing of it is left. */
export interface RenderedBody {
	html: string;
	gone: Gone[];
	/** The instant until which this holds, in milliseconds; null when no time changes it. */
	until: number | null;
}

/**
 * Renders a body to HTML, escaped by construction, under the quiet rule: a live value that is empty and has no
 * fallback takes its block with it (paragraph, list item, table row), what holds nothing any more goes, a heading
 * followed by nothing goes, and what goes is reported; `followed` tells that something stands below the body. A block
 * with the rests of several tags is repeated, once for each.
 */
export function renderBody(body: Body, context: LiveContext, followed = false): RenderedBody {
	const renderer = new BodyRenderer(context);
	const html = renderer.blocks(body.content, '/content', { followed });
	return { html, gone: renderer.gone, until: renderer.until };
}

/** A template with its live values filled in, as plain text. */
export interface FilledText {
	text: string;
	/** The live values that are missing; the text is not to be shown then. */
	missing: string[];
}

export class BodyRenderer {
	readonly gone: Gone[] = [];
	until: number | null = null;

	constructor(readonly context: LiveContext) {}

	/**
	 * Renders parts one below the other; `followed` tells that something stands below the last, `from` at which place of
	 * their holder the first one stands.
	 */
	blocks(parts: readonly BodyPart[], at: string, { followed = false, from = 0 } = {}): string {
		const rendered: RenderedBlock[] = [];
		const before = this.gone.length;
		for (const [i, part] of parts.entries()) {
			const kind = part.type === 'heading' ? part.attrs.level : part.type === 'horizontalRule' ? 'divider' : null;
			for (const html of this.part(part, `${at}/${from + i}`)) rendered.push({ html, kind });
		}
		return keepFollowedHeadings(rendered, { somethingWent: this.gone.length > before, followed });
	}

	/** Renders one part: nothing when it stays away, several blocks when it is repeated. */
	part(part: BodyPart, at: string): string[] {
		const render = PART_RENDERERS[part.type] as (part: BodyPart, renderer: BodyRenderer, at: string) => string[];
		return render(part, this, at);
	}

	/** Renders a line of inline parts as often as its tag rests ask for; nothing when a value is missing. */
	repeated(parts: readonly Inline[], at: string, wrap: (html: string) => string): string[] {
		if (parts.length === 0) return [];
		const times = this.timesOf(parts, at);
		if (times === 1) return [wrap(this.line(parts, 0))];
		return Array.from({ length: times }, (_, turn) => wrap(this.line(parts, turn)));
	}

	/** How often a line is to be written: once, or as often as its tag rests ask for; not at all without its values. */
	timesOf(parts: readonly Inline[], at: string): number {
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
		return missing.length > 0 ? this.leaveOut(at, missing).length : times;
	}

	/** How many values there are; notes one that is missing and has no fallback. */
	private need(name: string, fallback: string | null | undefined, missing: string[]): number {
		const { length } = this.values(name);
		if (length === 0 && !fallback) missing.push(name);
		return length;
	}

	/** The values of a name; what is rendered with them holds as long as they do. */
	values(name: string): LiveValue[] {
		const { values, until } = liveValues(name, this.context);
		this.holdsUntil(until);
		return values;
	}

	holdsUntil(until: number | null): void {
		if (until !== null) this.until = Math.min(until, this.until ?? Infinity);
	}

	line(parts: readonly Inline[], turn: number): string {
		let html = '';
		for (const part of parts) html += this.inline(part, turn);
		return html;
	}

	/** Notes that a part goes for want of values. */
	leaveOut(at: string, values: string[]): [] {
		this.gone.push({ at, values: [...new Set(values)] });
		return [];
	}

	private inline(part: Inline, turn: number): string {
		const html =
			part.type === 'text' ? escapeHtml(part.text) : part.type === 'hardBreak' ? '<br>' : this.value(part, turn);
		if (!part.marks) return html;
		return part.marks.reduceRight((inner, mark) => this.mark(mark, inner, turn), html);
	}

	private value({ attrs }: Extract<Inline, { type: 'liveValue' }>, turn: number): string {
		const value = this.turnOf(attrs.name, turn);
		return value ? inlineValue(attrs, value, this.context) : escapeHtml(attrs.fallback ?? '');
	}

	private turnOf(name: string, turn: number): LiveValue | undefined {
		const values = this.values(name);
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
	address(
		template: string,
		fault: (address: string) => string | null,
		turn = 0
	): { text: string | null; missing: string[] } {
		const missing: string[] = [];
		let text = '';
		for (const [i, part] of parseText(template).entries()) {
			if ('text' in part) text += part.text;
			else {
				const value = this.turnOf(part.value, turn);
				const written = value && formatValue(value, this.context.locale, part.format, part.forms);
				if (written === undefined) missing.push(part.value);
				else text += i === 0 ? written : encodeURIComponent(written);
			}
		}
		return { text: missing.length > 0 || fault(text) !== null ? null : text, missing };
	}

	/** A template as plain text. */
	text(template: string): FilledText {
		const missing: string[] = [];
		let text = '';
		for (const part of parseText(template)) {
			if ('text' in part) text += part.text;
			else {
				const value = this.turnOf(part.value, 0);
				if (!value) missing.push(part.value);
				else text += formatValue(value, this.context.locale, part.format, part.forms);
			}
		}
		return { text, missing };
	}
}

const MARK_ELEMENTS = { bold: 'strong', italic: 'em', underline: 'u', strike: 's', code: 'code' } as const;
