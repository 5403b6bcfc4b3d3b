import { isWithin } from './category.js';
import type { Product } from './product.js';

/** Which products a list shows; `recent` is known only to the visitor's own browser. */
export const LIST_SOURCES = ['hand', 'attribute', 'newest', 'mostSold', 'sameCategory', 'recent'] as const;
export type ListSource = (typeof LIST_SOURCES)[number];

/** A product list: by hand the keys count, of an attribute its products. `count` is the most that are shown. */
export interface ListQuery {
	source: ListSource;
	keys: readonly string[];
	count: number;
}

/** What a product list is made from. */
export interface ProductSource {
	/** The products of a list on the page of a product, which never shows itself; hidden and gone ones are left out. */
	list(query: ListQuery, page: Pick<Product, 'key' | 'categories'> | null): Product[];
}

export const NO_PRODUCTS: ProductSource = { list: () => [] };

/** Product lists over a catalogue: newest by the day they came, most sold by 30 days, both stable by key. */
export class ProductLists implements ProductSource {
	private readonly byKey: ReadonlyMap<string, Product>;
	private sorted: { newest: Product[]; mostSold: Product[] } | null = null;

	constructor(products: ReadonlyMap<string, Product>) {
		this.byKey = products;
	}

	list({ source, keys, count }: ListQuery, page: Pick<Product, 'key' | 'categories'> | null): Product[] {
		if (source === 'recent') return [];
		const isOther = (product: Product) => product.visible && product.key !== page?.key;
		if (source === 'hand' || source === 'attribute') {
			return keys
				.flatMap((key) => this.byKey.get(key) ?? [])
				.filter(isOther)
				.slice(0, count);
		}
		const { newest, mostSold } = this.sort();
		if (source === 'newest') return firstOf(newest, count, isOther);
		if (source === 'mostSold') return firstOf(mostSold, count, isOther);
		const [own] = page?.categories ?? [];
		if (own === undefined) return [];
		return firstOf(mostSold, count, (one) => isOther(one) && one.categories.some((key) => isWithin(key, own)));
	}

	private sort(): { newest: Product[]; mostSold: Product[] } {
		if (!this.sorted) {
			const all = [...this.byKey.values()].filter((product) => product.visible);
			const by = (value: (product: Product) => number) =>
				[...all].sort((a, b) => value(b) - value(a) || (a.key < b.key ? -1 : 1));
			this.sorted = {
				newest: by(({ created }) => (created === null ? -Infinity : Date.parse(created))),
				mostSold: by(({ sold30 }) => sold30 ?? -1)
			};
		}
		return this.sorted;
	}
}

function firstOf(products: readonly Product[], count: number, isWanted: (product: Product) => boolean): Product[] {
	const found: Product[] = [];
	for (const product of products) {
		if (found.length >= count) break;
		if (isWanted(product)) found.push(product);
	}
	return found;
}
