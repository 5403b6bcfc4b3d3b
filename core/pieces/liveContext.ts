import {
	NO_PRODUCTS,
	type AttributeDefinition,
	type AttributeValue,
	type Product,
	type ProductSource
} from '@anbau/core/catalog';
import { NO_SOURCE, type ReviewSource } from '@anbau/core/reviews';
import type { DeliverySettings } from './delivery.js';

/** What live values are filled from. Locale is BCP 47; money is formatted in the product's own currency. */
export interface LiveContext {
	product: Product | null;
	/** The key of the page's category: a category page's own, or the product's first. */
	category: string | null;
	locale: string;
	/** The instant of the answer, in milliseconds since the epoch, and the store's IANA zone. */
	now: number;
	zone: string;
	store: { name: string; url: string };
	/** A category's title; undefined when it is gone. */
	categoryTitle: (key: string) => string | undefined;
	/** How an attribute is defined, with the label and unit that are public; undefined when it is not. */
	attribute: (code: string) => AttributeDefinition | undefined;
	/** A category's value of an attribute of categories. */
	categoryValue: (key: string, code: string) => AttributeValue | undefined;
	/** Null where the store says nothing of delivery. */
	delivery: DeliverySettings | null;
	/** How long price and stock hold after they were last confirmed, in milliseconds; null for ever. */
	ageLimit: number | null;
	products: ProductSource;
	reviews: ReviewSource;
	/** Hosts whose frames the store lets in. */
	frameHosts: readonly string[];
	/** An icon of the owner's own, as cleaned SVG. */
	icon: (name: string) => string | undefined;
	/** Where the store's live API is, `https://…/live/v1/key`, for files and snippets. */
	base: string;
}

const nothing = () => undefined;

/** A context that knows nothing but what is given. */
export function liveContext(given: Partial<LiveContext>): LiveContext {
	return {
		product: null,
		category: given.product?.categories[0] ?? null,
		locale: 'en',
		now: 0,
		zone: 'UTC',
		store: { name: '', url: '' },
		categoryTitle: nothing,
		attribute: nothing,
		categoryValue: nothing,
		delivery: null,
		ageLimit: null,
		products: NO_PRODUCTS,
		reviews: NO_SOURCE,
		frameHosts: [],
		icon: nothing,
		base: '',
		...given
	};
}
