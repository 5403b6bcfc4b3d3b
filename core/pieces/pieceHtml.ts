import { renderBody, BodyRenderer, type Gone } from './render.js';
import type { Body } from './body.js';
import { hrefFault } from './address.js';
import { element, escapeHtml } from './html.js';
import { iconSvg } from './icons.js';
import type { LiveContext } from './liveContext.js';
import { accordionHtml, closeButton, dialogHtml, type OpeningPanel } from './opening.js';
import { renderMedia } from './renderMedia.js';
import type { AccordionPiece, MediaPiece, MessagePiece, Panel, Piece, ReviewsPiece, TabPiece } from './piece.js';
import { renderReviews } from './reviews.js';
import { styleAttribute } from './style.js';

/** A panel as it goes among a page's tabs. */
export interface RenderedPanel {
	slug: string;
	heading: string;
	icon: string | null;
	html: string;
}

/** A piece as rendered for one page. `html` is empty when nothing of it is left, and it is not placed then. */
export interface RenderedPiece {
	html: string;
	panels: RenderedPanel[];
	/** What stays away under the quiet rule, pointers into the piece's document. */
	gone: Gone[];
	/** The instant until which this holds, in milliseconds; null when no time changes it. */
	until: number | null;
}

/** Renders a piece for one page. On the hook `tabs` its panels count, anywhere else its HTML. */
export function renderPiece(slug: string, piece: Piece, context: LiveContext): RenderedPiece {
	const renderer = new PieceRenderer(slug, context);
	const { html, panels } = renderer.shown(piece);
	return { html, panels, gone: renderer.gone, until: renderer.until };
}

type Shown = Pick<RenderedPiece, 'html' | 'panels'>;
const NOTHING: Shown = { html: '', panels: [] };

class PieceRenderer {
	readonly gone: Gone[] = [];
	until: number | null = null;

	constructor(
		private readonly slug: string,
		private readonly context: LiveContext
	) {}

	shown(piece: Piece): Shown {
		switch (piece.kind) {
			case 'message':
				return this.message(piece);
			case 'tab':
				return this.tabs(piece);
			case 'accordion':
				return this.accordion(piece);
			case 'media':
				return this.media(piece);
			case 'reviews':
				return this.reviews(piece);
		}
	}

	private message(piece: MessagePiece): Shown {
		const body = this.body(piece.body, '/body');
		const heading = this.text(piece.heading, '/heading');
		if (body === '' || heading === null) return NOTHING;
		const { tone, form, closable } = piece.settings;
		const inner = element('div', { class: 'anbau-body' }, body) + this.button(piece);
		const head = heading === '' ? '' : element('p', { class: 'anbau-heading' }, escapeHtml(heading));
		const icon = this.icon(piece.icon);
		const panels =
			heading === ''
				? []
				: [{ slug: this.slug, heading, icon: icon || null, html: element('div', { class: 'anbau-text' }, inner) }];
		if (form === 'dialog') return { html: this.dialog(piece, heading, inner), panels };
		const text = element('div', { class: 'anbau-text' }, head + inner);
		const own = {
			class: `anbau-message anbau-${form} anbau-${tone}`,
			role: 'note',
			'data-anbau-style': styleAttribute(piece.style),
			'data-anbau-closable': closable || null
		} as const;
		return { html: element('div', own, icon + text + (closable ? closeButton() : '')), panels };
	}

	private dialog(piece: MessagePiece, heading: string, inner: string): string {
		const opener = this.text(piece.settings.opener, '/settings/opener');
		if (opener === null) return '';
		return this.styled(piece, dialogHtml(opener, heading || opener, inner));
	}

	private button({ settings: { button } }: MessagePiece): string {
		if (!button) return '';
		const renderer = new BodyRenderer(this.context);
		const label = renderer.text(button.label);
		const href = renderer.address(button.href, hrefFault);
		this.hold(renderer.until);
		if (href.text === null || label.missing.length > 0) {
			this.gone.push({ at: '/settings/button', values: [...label.missing, ...href.missing] });
			return '';
		}
		return element('a', { class: 'anbau-button', href: href.text }, escapeHtml(label.text));
	}

	private tabs(piece: TabPiece): Shown {
		const panels = piece.panels.flatMap((panel, i) => {
			const shown = this.panel(piece, panel, i);
			return shown ? [{ ...shown, html: this.styled(piece, element('div', { class: 'anbau-body' }, shown.html)) }] : [];
		});
		if (panels.length === 0) return NOTHING;
		return {
			html: element('div', { class: 'anbau-tabs', 'data-anbau-tabs': true }, panels.map(panelSection).join('')),
			panels
		};
	}

	private accordion(piece: AccordionPiece): Shown {
		const shown = piece.panels.flatMap((panel, i): OpeningPanel[] => {
			const own = this.panel(piece, panel, i);
			const above = panel.above ? this.body(panel.above, `/panels/${i}/above`, own !== null) : '';
			const between = above === '' ? '' : element('div', { class: 'anbau-body anbau-between' }, above);
			// What stands above a panel stays where the panel itself goes; it may be all that is left.
			if (!own) return between === '' ? [] : [{ slug: null, heading: '', icon: '', html: '', above: between }];
			return [{ slug: own.slug, heading: own.heading, icon: own.icon ?? '', html: own.html, above: between }];
		});
		if (!shown.some((panel) => panel.html !== '')) return NOTHING;
		const html = this.styled(piece, accordionHtml(shown, piece.settings));
		const heading = this.text(piece.heading, '/heading');
		const icon = this.icon(piece.icon);
		return { html, panels: heading ? [{ slug: this.slug, heading, icon: icon || null, html }] : [] };
	}

	private media(piece: MediaPiece): Shown {
		const renderer = new BodyRenderer(this.context);
		const { html, missing } = renderMedia(piece.settings, renderer);
		this.hold(renderer.until);
		if (html === '') {
			this.gone.push({ at: '/settings/address', values: missing });
			return NOTHING;
		}
		return this.whole(piece, html);
	}

	private reviews(piece: ReviewsPiece): Shown {
		const html = renderReviews(this.slug, piece.settings, this.context);
		if (html !== '') return this.whole(piece, html);
		this.gone.push({ at: '/settings', values: ['reviews.count'] });
		return NOTHING;
	}

	/** What is one thing: a tab where it has a heading, and as it is anywhere else. */
	private whole(piece: Piece, html: string): Shown {
		const heading = this.text(piece.heading, '/heading');
		const styled = this.styled(piece, html);
		const icon = this.icon(piece.icon);
		return { html: styled, panels: heading ? [{ slug: this.slug, heading, icon: icon || null, html: styled }] : [] };
	}

	/** A panel with its label and content; null when it has no content or its label lacks a value. */
	private panel(piece: TabPiece | AccordionPiece, panel: Panel, i: number): RenderedPanel | null {
		const html = this.body(panel.body, `/panels/${i}/body`);
		const own = this.text(panel.heading, `/panels/${i}/heading`);
		if (html === '' || own === null) return null;
		const heading = own || (piece.kind === 'tab' && this.text(piece.heading, '/heading')) || piece.name;
		const icon = this.icon(panel.icon ?? (piece.kind === 'tab' && piece.panels.length === 1 ? piece.icon : null));
		const slug = piece.panels.length === 1 && piece.kind === 'tab' ? this.slug : `${this.slug}-${panel.slug}`;
		return { slug, heading, icon: icon || null, html };
	}

	private body(body: Body, at: string, followed = false): string {
		const rendered = renderBody(body, this.context, followed);
		this.gone.push(...rendered.gone.map((one) => ({ ...one, at: `${at}${one.at}` })));
		this.hold(rendered.until);
		return rendered.html;
	}

	/** A template as text; null when it lacks a value, which is noted. */
	private text(template: string, at: string): string | null {
		if (template === '') return '';
		const renderer = new BodyRenderer(this.context);
		const { text, missing } = renderer.text(template);
		this.hold(renderer.until);
		if (missing.length === 0) return text;
		this.gone.push({ at, values: missing });
		return null;
	}

	private hold(until: number | null): void {
		if (until !== null) this.until = Math.min(until, this.until ?? Infinity);
	}

	private icon(name: string | null): string {
		return name === null ? '' : iconSvg(name, this.context.icon);
	}

	private styled(piece: Piece, html: string): string {
		const style = styleAttribute(piece.style);
		return style === null ? html : element('div', { class: 'anbau-styled', 'data-anbau-style': style }, html);
	}
}

/** A panel outside a strip: without any script it is a section under its heading. */
function panelSection(panel: RenderedPanel): string {
	const heading = element(
		'h3',
		{ class: 'anbau-heading', 'data-anbau-label': true },
		(panel.icon ?? '') + escapeHtml(panel.heading)
	);
	return element('section', { 'data-anbau-tab': panel.slug }, heading + panel.html);
}
