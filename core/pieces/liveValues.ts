import {
	appliesTo,
	isDocuments,
	withAncestors,
	type AttributeDefinition,
	type AttributeValue,
	type Product
} from '@anbau/core/catalog';
import { earliestDelivery, leadOf, type Delivery } from './delivery.js';
import type { LiveContext } from './liveContext.js';
import { attributeCodeOf, VOLATILE } from './liveNames.js';
import { countOf, roundedMean } from '@anbau/core/reviews';
import { restsOfTag } from './tagRest.js';

/** A live value before it is written out. */
export type LiveValue =
	| { type: 'text'; text: string }
	| { type: 'number'; value: number; unit: string }
	| { type: 'money'; minor: number; currency: string }
	| { type: 'percent'; value: number }
	| { type: 'date'; date: string }
	| { type: 'countdown'; until: number }
	| { type: 'rich'; text: string }
	| { type: 'embed'; address: string }
	| { type: 'media'; address: string };

/** What a name stands for on a page: nothing for no value, several for several tags or a list. */
export interface LiveValues {
	values: LiveValue[];
	/** The instant until which this holds, in milliseconds; null when no time changes it. */
	until: number | null;
}

const NONE: LiveValues = { values: [], until: null };

/** Values that were asked for already: many pieces of one page name the same ones. */
const asked = new WeakMap<LiveContext, Map<string, LiveValues>>();

/** The values of a name on a page. A context is asked for each name once. */
export function liveValues(name: string, context: LiveContext): LiveValues {
	let known = asked.get(context);
	if (!known) asked.set(context, (known = new Map()));
	let found = known.get(name);
	if (!found) known.set(name, (found = findValues(name, context)));
	return found;
}

function findValues(name: string, context: LiveContext): LiveValues {
	const { product } = context;
	const code = attributeCodeOf(name);
	if (code !== null) return always(attributeValues(code, context));
	if (name.startsWith('category.')) return always(categoryValues(name, context));
	if (name === 'store.name') return always(text(context.store.name));
	if (name === 'store.url') return always(text(context.store.url));
	if (!product) return NONE;
	if (name.startsWith('tag.')) return always(restsOfTag(product.tags, name.slice('tag.'.length)).flatMap(text));
	if (name.startsWith('delivery.')) return deliveryValues(name, product, context);
	if (name.startsWith('reviews.')) return always(reviewValues(name, product, context));
	if (!VOLATILE.includes(name)) return always(productValues(name, product, context));
	return volatileValues(name, product, context);
}

const always = (values: LiveValue[]): LiveValues => (values.length === 0 ? NONE : { values, until: null });
const text = (value: string | null | undefined): LiveValue[] => (value ? [{ type: 'text', text: value }] : []);

function productValues(name: string, product: Product, context: LiveContext): LiveValue[] {
	switch (name) {
		case 'product.title':
			return text(product.title);
		case 'product.sold':
			return product.sold30 === null ? [] : [{ type: 'number', value: product.sold30, unit: '' }];
		case 'product.sku':
			return text(product.sku);
		case 'product.brand':
			return text(product.brand);
		case 'product.category':
			return text(product.categories[0] && context.categoryTitle(product.categories[0]));
		case 'product.summary':
			return text(product.summary);
		case 'product.image':
			return text(product.images[0]);
		case 'product.url':
			return text(product.url);
		default:
			return [];
	}
}

/** Without any review both are empty. */
function reviewValues(name: string, product: Product, { reviews }: LiveContext): LiveValue[] {
	const histogram = reviews.of(product.key)?.histogram;
	const mean = histogram && roundedMean(histogram);
	if (!histogram || typeof mean !== 'number') return [];
	return [{ type: 'number', value: name === 'reviews.average' ? mean : countOf(histogram), unit: '' }];
}

/** Price and stock: empty once they are older than the store lets them be. */
function volatileValues(name: string, product: Product, { ageLimit, now }: LiveContext): LiveValues {
	const values = moneyValues(name, product);
	if (values.length === 0 || ageLimit === null) return always(values);
	const until = product.freshness === null ? -Infinity : Date.parse(product.freshness) + ageLimit;
	return until <= now ? NONE : { values, until };
}

function moneyValues(name: string, { price, listPrice, currency, stock }: Product): LiveValue[] {
	const money = (minor: number | null): LiveValue[] => (minor === null ? [] : [{ type: 'money', minor, currency }]);
	const saves = price !== null && listPrice !== null && listPrice > price;
	switch (name) {
		case 'product.price':
			return money(price);
		case 'product.listPrice':
			return money(listPrice);
		case 'product.saving':
			return saves ? money(listPrice - price) : [];
		case 'product.savingPercent':
			return saves ? [{ type: 'percent', value: (100 * (listPrice - price)) / listPrice }] : [];
		default:
			return stock === null ? [] : [{ type: 'number', value: stock, unit: '' }];
	}
}

const NOT_SENT = ['OutOfStock', 'SoldOut', 'Discontinued'];

/** The earliest day, and the time left to order for it; nothing for what cannot be ordered. */
function deliveryValues(name: string, product: Product, { delivery: settings, now, zone }: LiveContext): LiveValues {
	if (!settings || NOT_SENT.includes(product.availability ?? '')) return NONE;
	const delivery = earliestDelivery(now, zone, settings, leadOf(product, settings));
	if (!delivery) return NONE;
	return { values: deliveryValue(name, delivery), until: delivery.until };
}

function deliveryValue(name: string, { date, cutOff }: Delivery): LiveValue[] {
	if (name === 'delivery.date') return [{ type: 'date', date }];
	return cutOff === null ? [] : [{ type: 'countdown', until: cutOff }];
}

function categoryValues(name: string, { category, categoryTitle }: LiveContext): LiveValue[] {
	if (category === null) return [];
	return text(name === 'category.title' ? categoryTitle(category) : category);
}

/** An attribute's values; none where it does not apply. */
function attributeValues(code: string, context: LiveContext): LiveValue[] {
	const definition = context.attribute(code);
	const value = attributeOf(code, definition, context);
	if (value === undefined) return [];
	return valuesOf(value, definition);
}

/** An attribute's value on a page: the product's, or that of the nearest category that has one. */
export function attributeOf(
	code: string,
	definition: AttributeDefinition | undefined,
	{ product, category, categoryValue }: LiveContext
): AttributeValue | undefined {
	if (definition?.of !== 'category') {
		if (definition && !appliesTo(definition, product?.categories ?? [])) return undefined;
		return product?.attributes[code];
	}
	for (const key of category === null ? [] : withAncestors(category)) {
		const value = appliesTo(definition, [key]) ? categoryValue(key, code) : undefined;
		if (value !== undefined) return value;
	}
	return undefined;
}

function valuesOf(value: AttributeValue, definition: AttributeDefinition | undefined): LiveValue[] {
	if (typeof value === 'boolean') return text(value ? 'yes' : 'no');
	if (typeof value === 'number') return [{ type: 'number', value, unit: definition?.unit ?? '' }];
	if (Array.isArray(value)) {
		return text(isDocuments(value) ? value.map((one) => one.label).join(', ') : value.join(', '));
	}
	if (value.trim() === '') return [];
	if (definition?.type === 'richText') return [{ type: 'rich', text: value }];
	if (definition?.type === 'embed') return [{ type: 'embed', address: value }];
	if (definition?.type === 'media') return [{ type: 'media', address: value }];
	return definition?.type === 'date' ? [{ type: 'date', date: value }] : text(value);
}
