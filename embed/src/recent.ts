import type { Offer } from './offer.js';

const STORED = 'anbau-visited';
/** How many products a browser remembers. */
const REMEMBERED = 24;

interface Visit {
	key: string;
	url: string;
	name: string;
	image: string;
	price: number | null;
	currency: string;
}

function visits(): Visit[] {
	try {
		const stored: unknown = JSON.parse(localStorage.getItem(STORED) ?? '[]');
		return Array.isArray(stored) ? (stored as Visit[]) : [];
	} catch {
		// A browser that lets nothing be stored has looked at nothing.
		return [];
	}
}

/** Remembers, in this browser alone, that a product was looked at. */
export function rememberVisit(key: string, { url, name, image, price, currency }: Offer): void {
	const rest = visits().filter((visit) => visit.key !== key);
	try {
		localStorage.setItem(
			STORED,
			JSON.stringify([{ key, url, name, image, price, currency }, ...rest].slice(0, REMEMBERED))
		);
	} catch {
		// What cannot be remembered is not listed.
	}
}

/** Fills a list with the products that were looked at last; answers whether there are any. */
export function fillRecent(list: HTMLElement, current: string, locale: string): boolean {
	const shown = visits()
		.filter(({ key, url }) => key !== current && /^https?:/.test(url))
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
	if (/^https?:/.test(image)) link.append(make('img', { src: image, alt: '', loading: 'lazy' }));
	link.append(make('span', { textContent: name }));
	if (price !== null && /^[A-Z]{3}$/.test(currency)) {
		const text = new Intl.NumberFormat(locale, { style: 'currency', currency }).format(price);
		link.append(make('b', { textContent: text }));
	}
	const item = document.createElement('li');
	item.append(link);
	return item;
}
