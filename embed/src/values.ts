import type { PageDocument } from '@anbau/core/placement';
import { offerOf, type Offer } from './offer.js';
import { formatted } from './formatted.js';
import type { Memory } from './memory.js';
import { fillRecent, rememberVisit } from './recent.js';
import type { Prepare } from './slots.js';

/** What the values of a page need in its browser. */
export interface Values {
	prepare: Prepare;
	/** Lets what counts down count, for as long as it is on the page. */
	run(nodes: readonly Element[]): void;
}

/** Makes ready what the visitor's browser knows better than the server: price and stock of the page itself, visits. */
export function valuesOf(found: PageDocument, root: Document, memory: Memory): Values {
	const offer = offerOf(root);
	if (found.remembers && offer && found.page.kind === 'product') rememberVisit(memory, found.page.key, offer);
	return {
		prepare: (nodes) => {
			for (const span of nodes.querySelectorAll<HTMLElement>('[data-anbau-value]')) fill(span, offer, found.locale);
			for (const list of nodes.querySelectorAll<HTMLElement>('[data-anbau-recent]')) {
				if (!fillRecent(memory, list, found.page.key, found.locale)) leave(list);
			}
			for (const time of nodes.querySelectorAll<HTMLElement>('[data-anbau-until]')) tick(time, found.locale);
			return hasContent(nodes);
		},
		run: (nodes) => {
			const times = nodes.flatMap((node) => [...node.querySelectorAll<HTMLElement>('[data-anbau-until]')]);
			if (times.length === 0) return;
			const timer = setInterval(() => {
				const left = times.filter((time) => time.isConnected);
				if (left.length === 0) clearInterval(timer);
				for (const time of left) tick(time, found.locale);
			}, 1000);
		}
	};
}

function hasContent(nodes: ParentNode & Node): boolean {
	return nodes.textContent?.trim() !== '' || nodes.querySelector('img, iframe, hr, video') !== null;
}

/** Takes a value's block away: its row, item or paragraph, and what holds nothing any more without it. */
function leave(element: Element): void {
	const body = element.closest('.anbau-body');
	let block = element.closest('tr, li, p, h2, h3, h4, [data-anbau-recent]') ?? element;
	for (
		let parent = block.parentElement;
		parent?.children.length === 1 && parent !== body;
		parent = parent.parentElement
	) {
		block = parent;
	}
	block.remove();
	if (body?.children.length === 0) body.closest('details, .anbau-opener, .anbau-message')?.remove();
}

/** Writes a value as the page itself has it; one that it says is gone takes its block away. */
function fill(span: HTMLElement, offer: Offer | null, locale: string): void {
	if (!offer) return;
	const { anbauValue: name, anbauForms: forms, anbauFormat: format, anbauList: list } = span.dataset;
	if (name === 'stock') {
		if (offer.soldOut || offer.stock === 0) leave(span);
		else if (offer.stock !== null) span.textContent = counted(offer.stock, forms, locale);
		return;
	}
	const { price, currency } = offer;
	if (price === null || !/^[A-Z]{3}$/.test(currency) || name === 'listPrice') return;
	const whole = { minimumFractionDigits: 0, maximumFractionDigits: 0 };
	const money = (amount: number) =>
		formatted(amount, locale, { style: 'currency', currency, ...(format === 'whole' && whole) });
	if (name === 'price') span.textContent = money(price);
	else if (list !== undefined) {
		const saving = Number(list) - price;
		if (saving <= 0) leave(span);
		else if (name === 'saving') span.textContent = money(saving);
		else span.textContent = formatted(Math.floor((100 * saving) / Number(list)) / 100, locale, { style: 'percent' });
	}
}

function counted(count: number, forms: string | undefined, locale: string): string {
	const number = formatted(count, locale);
	if (forms === undefined) return number;
	const known = JSON.parse(forms) as Record<string, string>;
	const form = known[`=${count}`] ?? known[new Intl.PluralRules(locale).select(count)] ?? known.other ?? '#';
	return form.replace(/#/g, number);
}

/** Writes how much time is left; at zero what counts down goes. */
function tick(time: HTMLElement, locale: string): void {
	const minutes = Math.ceil((Date.parse(time.dataset.anbauUntil ?? '') - Date.now()) / 60_000);
	if (!(minutes > 0)) return leave(time);
	const unit = (value: number, name: string) =>
		formatted(value, locale, { style: 'unit', unit: name, unitDisplay: 'short' });
	const parts = [
		...(minutes >= 60 ? [unit(Math.floor(minutes / 60), 'hour')] : []),
		...(minutes % 60 > 0 ? [unit(minutes % 60, 'minute')] : [])
	];
	const text = parts.join(' ');
	if (time.textContent !== text) time.textContent = text;
}
