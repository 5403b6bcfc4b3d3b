/** What the page's own schema.org data says of its product. */
export interface Offer {
	name: string;
	url: string;
	image: string;
	/** In major units. */
	price: number | null;
	currency: string;
	stock: number | null;
	/** Whether it says that the product cannot be had. */
	soldOut: boolean;
}

type Node = Record<string, unknown>;
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && !Array.isArray(value);
const listOf = (value: unknown): unknown[] => (Array.isArray(value) ? value : value === undefined ? [] : [value]);
const textOf = (value: unknown): string => (typeof value === 'string' ? value : '');

/** The page's product by its JSON-LD (schema.org Product and Offer); null where there is none. */
export function offerOf(root: Document): Offer | null {
	for (const script of root.querySelectorAll('script[type="application/ld+json"]')) {
		try {
			const product = findProduct(JSON.parse(script.textContent ?? ''));
			if (product) return read(product, root);
		} catch {
			// Data that cannot be read is the theme's to mend; the server's values stand.
		}
	}
	return null;
}

function findProduct(value: unknown): Node | null {
	for (const node of listOf(value)) {
		if (!isNode(node)) continue;
		// What says nothing of an offer may be our own, of the product's reviews.
		if (node.offers && listOf(node['@type']).includes('Product')) return node;
		const inside = findProduct(node['@graph'] ?? node.mainEntity);
		if (inside) return inside;
	}
	return null;
}

function read(product: Node, root: Document): Offer {
	const offer = listOf(product.offers).find(isNode) ?? {};
	const level = isNode(offer.inventoryLevel) ? offer.inventoryLevel.value : offer.inventoryLevel;
	const [image] = listOf(product.image);
	return {
		name: textOf(product.name),
		url: root.location.href.split('#')[0] ?? '',
		image: isNode(image) ? textOf(image.url) : textOf(image),
		price: numberOf(offer.price ?? offer.lowPrice),
		currency: textOf(offer.priceCurrency),
		stock: numberOf(level),
		soldOut: /(OutOfStock|SoldOut|Discontinued)$/.test(textOf(offer.availability))
	};
}

function numberOf(value: unknown): number | null {
	if (value === undefined || value === null || value === '') return null;
	const number = Number(value);
	return Number.isFinite(number) ? number : null;
}
