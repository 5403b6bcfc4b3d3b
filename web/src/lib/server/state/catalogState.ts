import { factsOfProduct, type Product } from '@anbau/core/catalog';
import { CatalogIndex, packCatalog, type PackedCatalog } from '@anbau/core/rules';
import { database } from '../db/pool.js';
import { allCategories, allProducts, productByKey } from '../db/products.js';

/** A store's catalogue in memory: what the storefront is answered from, and the index that reach is counted with. */
export class CatalogState {
	private made: { index: CatalogIndex; json: string } | null = null;

	private constructor(
		readonly version: string,
		private readonly products: Map<string, Product>,
		private readonly titles: ReadonlyMap<string, string>
	) {}

	static async load(storeId: number): Promise<CatalogState> {
		const [products, categories] = [await allProducts(database(), storeId), await allCategories(database(), storeId)];
		return new CatalogState(
			nextVersion(),
			new Map(products.map((product) => [product.key, product])),
			new Map(categories.map(({ key, title }) => [key, title]))
		);
	}

	/** The state after one product was changed. */
	async withProduct(storeId: number, key: string): Promise<CatalogState> {
		const products = new Map(this.products);
		const product = await productByKey(database(), storeId, key);
		if (product) products.set(key, { ...product, description: '' });
		else products.delete(key);
		return new CatalogState(nextVersion(), products, this.titles);
	}

	product(key: string): Product | undefined {
		return this.products.get(key);
	}

	readonly categoryTitle = (key: string): string | undefined => this.titles.get(key);

	/** The index over the visible products, made when first asked for. */
	get index(): CatalogIndex {
		return this.build().index;
	}

	/** The packed catalogue as JSON, for the index in a browser. */
	get packedJson(): string {
		return this.build().json;
	}

	private build(): { index: CatalogIndex; json: string } {
		if (!this.made) {
			const packed = this.pack();
			this.made = { index: new CatalogIndex(packed), json: JSON.stringify(packed) };
		}
		return this.made;
	}

	private pack(): PackedCatalog {
		const visible = [...this.products.values()].filter((product) => product.visible);
		const indexed = visible.map((product) => ({
			title: product.title,
			tags: product.tags,
			brand: product.brand,
			facts: factsOfProduct(product)
		}));
		return packCatalog(
			this.version,
			indexed,
			[...this.titles].map(([key, title]) => ({ key, title }))
		);
	}
}

let versions = 0;

/** A version that no other state of this or another process has. */
function nextVersion(): string {
	return `${Date.now().toString(36)}-${process.pid.toString(36)}-${(++versions).toString(36)}`;
}
