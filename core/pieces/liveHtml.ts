import { decimalString } from '@anbau/core/catalog';
import { element, escapeHtml } from './html.js';
import type { Inline } from './inline.js';
import type { LiveContext } from './liveContext.js';
import { formatLeft, formatValue } from './liveFormat.js';
import { VOLATILE } from './liveNames.js';
import type { LiveValue } from './liveValues.js';

type Attrs = Extract<Inline, { type: 'liveValue' }>['attrs'];

/**
 * A live value inside a line. What the shop's page may know better, and what counts down, is marked so that the
 * storefront's script finds it.
 */
export function inlineValue(attrs: Attrs, value: LiveValue, context: LiveContext): string {
	if (attrs.format || attrs.forms) return write(attrs, value, context);
	let known = written.get(context);
	if (!known) written.set(context, (known = new Map()));
	let html = known.get(value);
	if (html === undefined) known.set(value, (html = write(attrs, value, context)));
	return html;
}

/** Values as they were written already: many pieces of one page say the same ones. */
const written = new WeakMap<LiveContext, Map<LiveValue, string>>();

function write(attrs: Attrs, value: LiveValue, { locale, now, product }: LiveContext): string {
	if (value.type === 'countdown') {
		const until = new Date(value.until).toISOString();
		return element('time', { 'data-anbau-until': until }, escapeHtml(formatLeft(value.until - now, locale)));
	}
	const text = escapeHtml(formatValue(value, locale, attrs.format, attrs.forms));
	if (!VOLATILE.includes(attrs.name)) return text;
	const isSaving = attrs.name.startsWith('product.saving');
	const own = {
		// What is saved depends on the price, which the page may know better.
		'data-anbau-list': isSaving && product?.listPrice ? decimalString(product.listPrice, product.currency) : null,
		'data-anbau-value': attrs.name.slice('product.'.length),
		'data-anbau-format': attrs.format,
		'data-anbau-forms': attrs.forms && JSON.stringify(attrs.forms)
	};
	return element('span', own, text);
}
