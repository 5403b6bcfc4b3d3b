import { fold } from './fold.js';
import { majorUnits } from './money.js';
import type { Availability, AttributeValue, Product } from './product.js';

/** The kinds of page a storefront has. */
export const PAGE_KINDS = ['product', 'category', 'article', 'home', 'list', 'plain'] as const;
export type PageKind = (typeof PAGE_KINDS)[number];

/** A page of the storefront; a product's or category's page has its key. */
export interface PageRef {
	kind: PageKind;
	key: string;
}

/** An attribute's value as rules see it: folded texts, and the number or ISO date where it is one. */
export interface AttributeFacts {
	text: string[];
	number: number | null;
	date: string | null;
}

/** What rules can ask of a page: texts folded, money in major units, `created` in milliseconds since the epoch. */
export interface Facts {
	page: PageRef;
	tags: string[];
	categories: string[];
	brand: string | null;
	price: number | null;
	discount: number | null;
	stock: number | null;
	availability: Availability | null;
	onSale: boolean | null;
	created: number | null;
	sold: number | null;
	attributes: Record<string, AttributeFacts>;
}

/** The facts of a product's page. */
export function factsOfProduct(product: Product): Facts {
	const { price, listPrice, currency } = product;
	return {
		page: { kind: 'product', key: product.key },
		tags: product.tags.map(fold),
		categories: product.categories,
		brand: product.brand === null ? null : fold(product.brand),
		price: price === null ? null : majorUnits(price, currency),
		discount: discountPercent(price, listPrice),
		stock: product.stock,
		availability: product.availability,
		onSale: price === null ? null : listPrice !== null && listPrice > price,
		created: product.created === null ? null : Date.parse(product.created),
		sold: product.sold30,
		attributes: attributeFactsOf(product.attributes)
	};
}

/** The facts of a page that is no product's; on a category's page `category` is that category. */
export function factsOfPage(page: PageRef): Facts {
	const categories = page.kind === 'category' ? [page.key] : [];
	return {
		page,
		tags: [],
		categories,
		brand: null,
		price: null,
		discount: null,
		stock: null,
		availability: null,
		onSale: null,
		created: null,
		sold: null,
		attributes: {}
	};
}

/** Percent off the list price, unrounded; null without a list price or a price. */
export function discountPercent(price: number | null, listPrice: number | null): number | null {
	if (price === null || listPrice === null || listPrice <= 0) return null;
	return (100 * (listPrice - price)) / listPrice;
}

export function attributeFactsOf(attributes: Record<string, AttributeValue>): Record<string, AttributeFacts> {
	const facts: Record<string, AttributeFacts> = {};
	for (const [code, value] of Object.entries(attributes)) facts[code] = attributeFacts(value);
	return facts;
}

function attributeFacts(value: AttributeValue): AttributeFacts {
	if (typeof value === 'boolean') return { text: [value ? 'yes' : 'no'], number: null, date: null };
	if (typeof value === 'number') return { text: [String(value)], number: value, date: null };
	const texts = Array.isArray(value) ? value.map((one) => (typeof one === 'string' ? one : one.label)) : [value];
	const list = texts.map(fold).filter((text) => text !== '');
	const single = list.length === 1 ? list[0] : undefined;
	return {
		text: list,
		number: single !== undefined && /^-?\d{1,15}(\.\d{1,15})?$/.test(single) ? Number(single) : null,
		date: single !== undefined && isIsoDate(single) ? single : null
	};
}

/** Whether a text is a calendar date that exists, as `2027-03-31` (ISO 8601-1, 5.2.2.1 extended format). */
export function isIsoDate(text: string): boolean {
	if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
	const time = Date.parse(`${text}T00:00:00Z`);
	return !Number.isNaN(time) && new Date(time).toISOString().startsWith(text);
}
