import { element, escapeHtml } from './html.js';
import { iconSvg } from './icons.js';
import type { LiveContext } from './liveValues.js';
import type { MessagePiece, Panel, Piece, TabPiece } from './piece.js';
import { renderBody, type Gone } from './render.js';

/** A panel as it goes among a page's tabs. */
export interface RenderedPanel {
	slug: string;
	heading: string;
	icon: string | null;
	html: string;
}

/** A piece as rendered for one product. `html` is empty when nothing of it is left, and it is not placed then. */
export interface RenderedPiece {
	html: string;
	panels: RenderedPanel[];
	/** What stays away under the quiet rule, pointers into the piece's document. */
	gone: Gone[];
}

/** Renders a piece for one product. On the hook `tabs` its panels count, anywhere else its HTML. */
export function renderPiece(slug: string, piece: Piece, context: LiveContext): RenderedPiece {
	return piece.kind === 'message' ? renderMessage(slug, piece, context) : renderTabs(slug, piece, context);
}

function renderMessage(slug: string, piece: MessagePiece, context: LiveContext): RenderedPiece {
	const body = renderBody(piece.body, context);
	const gone = body.gone.map((one) => ({ ...one, at: `/body${one.at}` }));
	if (body.html === '') return { html: '', panels: [], gone };
	const { button, tone } = piece.settings;
	const inner =
		element('div', { class: 'anbau-body' }, body.html) +
		(button ? element('a', { class: 'anbau-button', href: button.href }, escapeHtml(button.label)) : '');
	const heading = piece.heading ? element('p', { class: 'anbau-heading' }, escapeHtml(piece.heading)) : '';
	const icon = piece.icon ? iconSvg(piece.icon) : '';
	const text = element('div', { class: 'anbau-text' }, heading + inner);
	const html = element('div', { class: `anbau-message anbau-${tone}`, role: 'note' }, icon + text);
	const panels = piece.heading
		? [{ slug, heading: piece.heading, icon: icon || null, html: element('div', { class: 'anbau-text' }, inner) }]
		: [];
	return { html, panels, gone };
}

function renderTabs(slug: string, piece: TabPiece, context: LiveContext): RenderedPiece {
	const gone: Gone[] = [];
	const panels = piece.panels.flatMap((panel, i) => {
		const body = renderBody(panel.body, context);
		gone.push(...body.gone.map((one) => ({ ...one, at: `/panels/${i}/body${one.at}` })));
		return body.html === '' ? [] : [renderedPanel(slug, piece, panel, body.html)];
	});
	const html =
		panels.length === 0
			? ''
			: element('div', { class: 'anbau-tabs', 'data-anbau-tabs': true }, panels.map(panelSection).join(''));
	return { html, panels, gone };
}

function renderedPanel(slug: string, piece: TabPiece, panel: Panel, html: string): RenderedPanel {
	const icon = panel.icon ?? (piece.panels.length === 1 ? piece.icon : null);
	return {
		slug: piece.panels.length === 1 ? slug : `${slug}-${panel.slug}`,
		heading: panel.heading || piece.heading || piece.name,
		icon: icon && iconSvg(icon),
		html: element('div', { class: 'anbau-body' }, html)
	};
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
