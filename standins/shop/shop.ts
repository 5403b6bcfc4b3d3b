import { formatMoney, parseCategoryPath, parseMoney } from '@anbau/core/catalog';
import { demoProducts, type DemoProduct } from '@anbau/demo/products';

/** What the shop sells; it has its own catalogue and knows nothing of Anbau but the script in its themes. */
export interface Shop {
	url: string;
	anbauUrl: string;
	/** Where the films and maps of others come from. */
	mediaUrl: string;
	storeKey: string;
	/** What it shares with Anbau to say who is signed in. */
	visitorSecret: string;
	products: Map<string, DemoProduct>;
	categories: ShopCategory[];
}

export interface ShopCategory {
	key: string;
	title: string;
	parent: string | null;
}

export function openShop(known: Pick<Shop, 'url' | 'anbauUrl' | 'mediaUrl' | 'storeKey' | 'visitorSecret'>): Shop {
	const products = demoProducts();
	const categories = new Map<string, ShopCategory>();
	for (const product of products) {
		for (const path of product.categories) {
			for (const { key, title, parent } of parseCategoryPath(path) ?? []) categories.set(key, { key, title, parent });
		}
	}
	return {
		...known,
		products: new Map(products.map((product) => [product.key, product])),
		categories: [...categories.values()]
	};
}

/** The categories at the top of the tree. */
export function departmentsOf(shop: Shop): ShopCategory[] {
	return shop.categories.filter((category) => category.parent === null);
}

/** The categories of a product from the top down. */
export function trailOf(product: DemoProduct): ShopCategory[] {
	return (parseCategoryPath(product.categories[0] ?? '') ?? []).map(({ key, title, parent }) => ({
		key,
		title,
		parent
	}));
}

/** The products of a category and of all below it. */
export function productsIn(shop: Shop, key: string): DemoProduct[] {
	return [...shop.products.values()].filter((product) => trailOf(product).some((category) => category.key === key));
}

/** Other products of a product's category. */
export function relatedTo(shop: Shop, product: DemoProduct): DemoProduct[] {
	return productsIn(shop, trailOf(product).at(-1)?.key ?? '')
		.filter((one) => one.key !== product.key)
		.slice(0, 4);
}

/** What a product's page says of it in rows. */
export function rowsOf(product: DemoProduct): [label: string, value: string][] {
	const rows = {
		SKU: product.sku,
		Brand: product.brand,
		Material: product.attributes.material ?? '',
		Hardiness: product.attributes.hardiness ?? ''
	};
	return Object.entries(rows).filter(([, value]) => value !== '');
}

/** A decimal string of the catalogue as a price. */
export function priceText(decimal: string): string {
	const reading = parseMoney(decimal, 'EUR');
	return reading.ok ? formatMoney(reading.value, 'EUR', 'en') : decimal;
}
