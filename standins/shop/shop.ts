import { formatMoney, parseCategoryPath, parseMoney } from '@anbau/core/catalog';
import { demoProducts, type DemoProduct } from '@anbau/demo/products';

/** What the shop sells; it has its own catalogue and knows nothing of Anbau but the script in its theme. */
export interface Shop {
	url: string;
	anbauUrl: string;
	storeKey: string;
	products: Map<string, DemoProduct>;
	categories: ShopCategory[];
}

export interface ShopCategory {
	key: string;
	title: string;
	parent: string | null;
}

export function openShop(url: string, anbauUrl: string, storeKey: string): Shop {
	const products = demoProducts();
	const categories = new Map<string, ShopCategory>();
	for (const product of products) {
		for (const path of product.categories) {
			for (const { key, title, parent } of parseCategoryPath(path) ?? []) categories.set(key, { key, title, parent });
		}
	}
	return {
		url,
		anbauUrl,
		storeKey,
		products: new Map(products.map((product) => [product.key, product])),
		categories: [...categories.values()]
	};
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

/** A decimal string of the catalogue as a price. */
export function priceText(decimal: string): string {
	const reading = parseMoney(decimal, 'EUR');
	return reading.ok ? formatMoney(reading.value, 'EUR', 'en') : decimal;
}
