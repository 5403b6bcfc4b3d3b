import { element, escapeHtml } from './html.js';

/** A panel of an accordion as rendered; `icon` is SVG, `above` stands before it. Without content it is that alone. */
export interface OpeningPanel {
	slug: string | null;
	heading: string;
	icon: string;
	html: string;
	above: string;
}

/** Which panels of an accordion are open: one or many at a time, and at the beginning the first or none. */
export interface Opening {
	many: boolean;
	open: 'first' | 'none';
}

/** An accordion of `details` elements, so that it opens and closes without any script and is found by a search. */
export function accordionHtml(panels: readonly OpeningPanel[], { many, open }: Opening): string {
	const first = panels.findIndex((panel) => panel.html !== '');
	const inner = panels.map(({ slug, heading, icon, html, above }, i) => {
		const summary = element('summary', {}, element('h3', { class: 'anbau-heading' }, icon + escapeHtml(heading)));
		if (html === '') return above;
		const own = { 'data-anbau-panel': slug, open: open === 'first' && i === first ? true : null } as const;
		return above + element('details', own, summary + element('div', { class: 'anbau-body' }, html));
	});
	return element('div', { class: 'anbau-accordion', 'data-anbau-accordion': many ? 'many' : 'one' }, inner.join(''));
}

/** A button that opens a dialog; the storefront's script wires it. */
export function dialogHtml(label: string, title: string, html: string): string {
	const button = element(
		'button',
		{ type: 'button', class: 'anbau-button', 'aria-haspopup': 'dialog' },
		escapeHtml(label)
	);
	const head = element('h2', { class: 'anbau-heading' }, escapeHtml(title)) + closeButton();
	const dialog = element(
		'dialog',
		{ class: 'anbau anbau-dialog', 'aria-label': title },
		element('div', { class: 'anbau-dialog-head' }, head) + element('div', { class: 'anbau-body' }, html)
	);
	return element('div', { class: 'anbau-opener', 'data-anbau-dialog': true }, button + dialog);
}

/** A button that closes what it stands in. */
export function closeButton(): string {
	return element(
		'button',
		{ type: 'button', class: 'anbau-close', 'aria-label': 'Close', 'data-anbau-close': true },
		'×'
	);
}

/** A piece's HTML that the visitor can close; one that can be closed already stays as it is. */
export function closableHtml(html: string): string {
	if (html.includes('data-anbau-closable')) return html;
	return element('div', { class: 'anbau-closing', 'data-anbau-closable': true }, html + closeButton());
}
