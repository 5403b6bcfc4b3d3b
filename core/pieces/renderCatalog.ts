import {
	formatMoney,
	isDocuments,
	isValidOn,
	slugify,
	uploadedFile,
	type DocumentEntry,
	type Product
} from '@anbau/core/catalog';
import { hrefFault, srcFault } from './address.js';
import { dayAt, endOfDay } from './delivery.js';
import { element, escapeHtml } from './html.js';
import type { LiveContext } from './liveContext.js';
import { formatValue } from './liveFormat.js';
import { attributeOf } from './liveValues.js';
import type { AttributeTable, DocumentList, ProductList } from './parts.js';
import type { BodyRenderer } from './render.js';
import { richHtml } from './richText.js';

/** Chosen attributes as label and value; a row without a value goes. */
export function attributeTable({ attrs }: AttributeTable, renderer: BodyRenderer, at: string): string[] {
	const rows = attrs.codes.flatMap((code) => {
		const html = attributeHtml(code, renderer);
		if (html === '') return [];
		const label = renderer.context.attribute(code)?.label ?? code.replace(/_/g, ' ');
		return [element('tr', {}, element('th', { scope: 'row' }, escapeHtml(label)) + element('td', {}, html))];
	});
	if (rows.length === 0)
		return renderer.leaveOut(
			at,
			attrs.codes.map((code) => `attribute.${code}`)
		);
	const inner = element('table', {}, element('tbody', {}, rows.join('')));
	return [element('div', { class: 'anbau-table anbau-attributes' }, inner)];
}

function attributeHtml(code: string, renderer: BodyRenderer): string {
	const { context } = renderer;
	const value = attributeOf(code, context.attribute(code), context);
	if (value !== undefined && isDocuments(value)) return documentItems(value, renderer).join('<br>');
	return renderer
		.values(`attribute.${code}`)
		.map((one) => (one.type === 'rich' ? richHtml(one.text, renderer) : escapeHtml(formatValue(one, context.locale))))
		.join('');
}

/** The documents of chosen attributes that may still be had. */
export function documentList({ attrs }: DocumentList, renderer: BodyRenderer, at: string): string[] {
	const items = attrs.codes.flatMap((code) => {
		const value = attributeOf(code, renderer.context.attribute(code), renderer.context);
		return value !== undefined && isDocuments(value) ? documentItems(value, renderer) : [];
	});
	if (items.length === 0)
		return renderer.leaveOut(
			at,
			attrs.codes.map((code) => `attribute.${code}`)
		);
	return [element('ul', { class: 'anbau-documents' }, items.map((item) => element('li', {}, item)).join(''))];
}

function documentItems(documents: readonly DocumentEntry[], renderer: BodyRenderer): string[] {
	const { now, zone } = renderer.context;
	const today = dayAt(now, zone);
	return documents.flatMap((document) => {
		if (!isValidOn(document, today)) return [];
		if (document.until !== undefined) renderer.holdsUntil(endOfDay(document.until, zone));
		const html = documentLink(document, renderer.context);
		return html === '' ? [] : [html];
	});
}

function documentLink(document: DocumentEntry, { base, locale }: LiveContext): string {
	const file = uploadedFile(document);
	const href = file === null ? document.address : `${base}/files/${file}/${fileName(document)}`;
	if (hrefFault(href) !== null) return '';
	const facts = [typeWord(document), sizeWord(document.size, locale), untilWord(document.until, locale)];
	const said = facts.filter((fact) => fact !== '').join(' · ');
	// A document opens beside the page, so that the shop stays where it is.
	const link = element(
		'a',
		{ href, target: '_blank', rel: 'noopener', type: document.type },
		escapeHtml(document.label)
	);
	return said === '' ? link : `${link} ${element('small', {}, escapeHtml(said))}`;
}

/** The last part of an uploaded file's address: its label, with the ending of its type. */
function fileName({ label, type }: DocumentEntry): string {
	return `${slugify(label) || 'document'}.${ENDINGS[type ?? ''] ?? 'bin'}`;
}

const ENDINGS: Record<string, string> = {
	'application/pdf': 'pdf',
	'image/png': 'png',
	'image/jpeg': 'jpg',
	'text/plain': 'txt',
	'text/csv': 'csv',
	'application/zip': 'zip',
	'application/vnd.openxmlformats-officedocument.wordprocessingml.document': 'docx',
	'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet': 'xlsx'
};

function typeWord({ type, address }: DocumentEntry): string {
	const ending = (type && ENDINGS[type]) || /\.([a-z0-9]{2,4})(?:[?#]|$)/i.exec(address)?.[1] || '';
	return ending.toUpperCase();
}

function sizeWord(bytes: number | undefined, locale: string): string {
	if (bytes === undefined) return '';
	const large = bytes >= 1_000_000;
	const options = {
		style: 'unit',
		unit: large ? 'megabyte' : 'kilobyte',
		maximumFractionDigits: large ? 1 : 0
	} as const;
	return new Intl.NumberFormat(locale, options).format(large ? bytes / 1e6 : Math.max(1, bytes / 1e3));
}

function untilWord(until: string | undefined, locale: string): string {
	return until === undefined ? '' : `until ${formatValue({ type: 'date', date: until }, locale)}`;
}

/** A list of products; one that comes out empty goes, its heading with it. */
export function productList({ attrs }: ProductList, renderer: BodyRenderer, at: string): string[] {
	const heading = renderer.text(attrs.heading);
	if (heading.missing.length > 0) return renderer.leaveOut(at, heading.missing);
	const head = heading.text === '' ? '' : element('h3', { class: 'anbau-heading' }, escapeHtml(heading.text));
	// What a visitor looked at is known only to the visitor's browser; until the script has it, there is nothing to see.
	if (attrs.source === 'recent') {
		const own = { class: 'anbau-products', 'data-anbau-recent': attrs.count, hidden: true } as const;
		return [element('div', own, `${head}<ul></ul>`)];
	}
	const { context } = renderer;
	const keys = attrs.source === 'attribute' ? keysOf(attrs.code ?? '', context) : attrs.keys;
	const products = context.products.list({ source: attrs.source, keys, count: attrs.count }, context.product);
	const cards = products.map((product) => card(product, context.locale)).join('');
	if (cards === '') return renderer.leaveOut(at, attrs.code ? [`attribute.${attrs.code}`] : []);
	return [element('div', { class: 'anbau-products' }, head + element('ul', {}, cards))];
}

/** The keys that an attribute of type products names on this page. */
function keysOf(code: string, context: LiveContext): string[] {
	const value = attributeOf(code, context.attribute(code), context);
	return Array.isArray(value) && !isDocuments(value) ? value : [];
}

function card({ url, title, images, price, currency }: Product, locale: string): string {
	if (url === null || hrefFault(url) !== null) return '';
	const [src] = images;
	const picture = src && srcFault(src) === null ? element('img', { src, alt: '', loading: 'lazy' }) : '';
	const cost = price === null ? '' : element('b', {}, escapeHtml(formatMoney(price, currency, locale)));
	return element('li', {}, element('a', { href: url }, picture + element('span', {}, escapeHtml(title)) + cost));
}
