import type { Product } from '@anbau/core/catalog';

/** A visible product that has nothing but what is given. */
export function bareProduct(given: Partial<Product> = {}): Product {
	return {
		key: 'spade',
		sku: null,
		title: 'Spade',
		summary: '',
		description: '',
		price: null,
		listPrice: null,
		currency: 'EUR',
		stock: null,
		availability: null,
		visible: true,
		brand: null,
		images: [],
		tags: [],
		categories: [],
		created: null,
		sold30: null,
		url: null,
		attributes: {},
		freshness: null,
		...given
	};
}
