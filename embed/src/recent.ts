import { formatted } from './formatted.js';
import type { Memory } from './memory.js';
import type { Offer } from './offer.js';

const VISITED = 'visited';
/** How many products a browser remembers. */
const REMEMBERED = 24;

interface Visit extends Offer {
	key: string;
}

/** Remembers, in this browser alone, that a product was looked at. */
export function rememberVisit({ recall, keep }: Memory, key: string, offer: Offer): void {
	const rest = recall<Visit[]>(VISITED, []).filter((visit) => visit.key !== key);
	keep(VISITED, [{ key, ...offer }, ...rest].slice(0, REMEMBERED));
}

/** Fills a list with the products that were looked at last; answers whether there are any. */
export function fillRecent({ recall }: Memory, list: HTMLElement, current: string, locale: string): boolean {
	const shown = recall<Visit[]>(VISITED, [])
		.filter(({ key }) => key !== current)
		.slice(0, Number(list.dataset.anbauRecent));
	if (shown.length === 0) return false;
	list.querySelector('ul')?.replaceChildren(...shown.map((visit) => card(visit, locale)));
	list.hidden = false;
	return true;
}

function card({ url, name, image, price, currency }: Visit, locale: string): HTMLElement {
	const make = <Name extends keyof HTMLElementTagNameMap>(
		tag: Name,
		properties: Partial<HTMLElementTagNameMap[Name]>
	) => Object.assign(document.createElement(tag), properties);
	const link = make('a', { href: url });
	if (image) link.append(make('img', { src: image, alt: '', loading: 'lazy' }));
	link.append(make('span', { textContent: name }));
	if (price !== null && /^[A-Z]{3}$/.test(currency)) {
		link.append(make('b', { textContent: formatted(price, locale, { style: 'currency', currency }) }));
	}
	const item = document.createElement('li');
	item.append(link);
	return item;
}
