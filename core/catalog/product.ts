/** Availability terms, from schema.org's ItemAvailability enumeration. */
export const AVAILABILITIES = [
	'BackOrder',
	'Discontinued',
	'InStock',
	'InStoreOnly',
	'LimitedAvailability',
	'MadeToOrder',
	'OnlineOnly',
	'OutOfStock',
	'PreOrder',
	'PreSale',
	'Reserved',
	'SoldOut'
] as const;

export type Availability = (typeof AVAILABILITIES)[number];

/** A document of a product: a label, where it is, and the last day it may be had (`2027-03-31`). */
export interface DocumentEntry {
	label: string;
	/** An address, or `file:` and the SHA-256 of an uploaded file. */
	address: string;
	/** Media type and bytes of an uploaded file. */
	type?: string;
	size?: number;
	until?: string;
}

/** An attribute's value as the catalogue carries it. */
export type AttributeValue = string | number | boolean | string[] | DocumentEntry[];

/**
 * A product of the catalogue. Money is in minor units of `currency`; instants are ISO 8601 in UTC; categories are
 * keys. With variants, the price is the lowest and the stock the sum.
 */
export interface Product {
	key: string;
	sku: string | null;
	title: string;
	summary: string;
	description: string;
	price: number | null;
	listPrice: number | null;
	currency: string;
	stock: number | null;
	availability: Availability | null;
	visible: boolean;
	brand: string | null;
	images: string[];
	tags: string[];
	categories: string[];
	created: string | null;
	sold30: number | null;
	url: string | null;
	attributes: Record<string, AttributeValue>;
	/** When price and stock were last confirmed. */
	freshness: string | null;
}
