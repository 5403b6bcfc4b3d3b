import { fold, formatMoney, type Product } from '@anbau/core/catalog';

/** What live values are filled from. Locale is BCP 47; money is formatted in the product's own currency. */
export interface LiveContext {
	product: Product | null;
	locale: string;
	/** A category's title; undefined when it is gone. */
	categoryTitle: (key: string) => string | undefined;
}

/** A live value as the editor offers it. */
export interface LiveValueInfo {
	name: string;
	label: string;
}

/** The product's live values, in the order in which they are offered. `tag.<beginning>` comes in addition. */
export const PRODUCT_VALUES: readonly LiveValueInfo[] = [
	{ name: 'product.title', label: 'Product · title' },
	{ name: 'product.price', label: 'Product · price' },
	{ name: 'product.listPrice', label: 'Product · list price' },
	{ name: 'product.saving', label: 'Product · saving' },
	{ name: 'product.stock', label: 'Product · stock' },
	{ name: 'product.sku', label: 'Product · SKU' },
	{ name: 'product.brand', label: 'Product · brand' },
	{ name: 'product.category', label: 'Product · category' },
	{ name: 'product.url', label: 'Product · address' }
];

/** A live value's name: one of the product's, or `tag.` and the tag's beginning before its colon. */
export const LIVE_VALUE_NAME = new RegExp(
	`^(?:${PRODUCT_VALUES.map((one) => one.name.replace('.', '\\.')).join('|')}|tag\\.[^\\s{}#,'":|][^{}#,'":|]{0,60})$`
);

/** A live value's label: `Product · title`, `Tag · lead`. */
export function liveValueLabel(name: string): string {
	const known = PRODUCT_VALUES.find((one) => one.name === name);
	return known?.label ?? `Tag · ${name.slice('tag.'.length)}`;
}

/** Values that were asked for already: many pieces of one page name the same ones. */
const asked = new WeakMap<LiveContext, Map<string, string[]>>();

/**
 * A live value as text. Nothing in the list means that the product has no such value; several are the rests of
 * several tags with the same beginning, in tag order. A context is asked for each value once.
 */
export function liveValue(name: string, context: LiveContext): string[] {
	let known = asked.get(context);
	if (!known) asked.set(context, (known = new Map()));
	let values = known.get(name);
	if (!values) known.set(name, (values = findValue(name, context)));
	return values;
}

function findValue(name: string, context: LiveContext): string[] {
	const { product } = context;
	if (!product) return [];
	if (name.startsWith('tag.')) return restsOfTag(product.tags, name.slice('tag.'.length));
	const value = productValue(name, product, context);
	return value === null || value === '' ? [] : [value];
}

function productValue(name: string, product: Product, context: LiveContext): string | null {
	const money = (minor: number | null) =>
		minor === null ? null : formatMoney(minor, product.currency, context.locale);
	switch (name) {
		case 'product.title':
			return product.title;
		case 'product.price':
			return money(product.price);
		case 'product.listPrice':
			return money(product.listPrice);
		case 'product.saving':
			return money(saving(product));
		case 'product.stock':
			return product.stock === null ? null : new Intl.NumberFormat(context.locale).format(product.stock);
		case 'product.sku':
			return product.sku;
		case 'product.brand':
			return product.brand;
		case 'product.category':
			return categoryOf(product, context);
		case 'product.url':
			return product.url;
		default:
			return null;
	}
}

/** What a shopper saves against the list price, in minor units; null when it is nothing. */
function saving({ price, listPrice }: Product): number | null {
	return price === null || listPrice === null || listPrice <= price ? null : listPrice - price;
}

function categoryOf(product: Product, context: LiveContext): string | null {
	const [key] = product.categories;
	return key === undefined ? null : (context.categoryTitle(key) ?? null);
}

/** What stands after the colon in the tags that begin so: `lead: 15 days` with `lead` gives `15 days`. */
export function restsOfTag(tags: readonly string[], beginning: string): string[] {
	const wanted = fold(beginning);
	const rests: string[] = [];
	for (const tag of tags) {
		const colon = tag.indexOf(':');
		if (colon < 0 || fold(tag.slice(0, colon)) !== wanted) continue;
		const rest = tag.slice(colon + 1).trim();
		if (rest !== '') rests.push(rest);
	}
	return rests;
}
