import {
	factsOfProduct,
	ProductLists,
	type AttributeDefinition,
	type AttributeValue,
	type Category,
	type Product
} from '@anbau/core/catalog';
import { CatalogIndex, packCatalog, type PackedCatalog } from '@anbau/core/rules';
import { allAttributes, categoryValues } from '../db/attributes.js';
import { allFiles, type StoredFile } from '../db/files.js';
import { database } from '../db/pool.js';
import { allCategories, allProducts, productsByKeys } from '../db/products.js';
import { DocumentFiles } from './documentFiles.js';

/** What a catalogue's state is made from. */
interface Parts {
	products: Map<string, Product>;
	categories: Category[];
	definitions: AttributeDefinition[];
	categoryValues: Map<string, Record<string, AttributeValue>>;
	files: StoredFile[];
}

/** A store's catalogue in memory: what the storefront is answered from, and the index that reach is counted with. */
export class CatalogState {
	readonly lists: ProductLists;
	readonly documents: DocumentFiles;
	private made: { index: CatalogIndex; json: string } | null = null;
	private readonly titles: ReadonlyMap<string, string>;
	private readonly byCode: ReadonlyMap<string, AttributeDefinition>;

	private constructor(
		readonly version: string,
		private readonly parts: Parts
	) {
		this.documents = new DocumentFiles(parts);
		for (const product of parts.products.values()) this.documents.describe(product.attributes);
		for (const values of parts.categoryValues.values()) this.documents.describe(values);
		this.titles = new Map(parts.categories.map(({ key, title }) => [key, title]));
		this.byCode = new Map(parts.definitions.map((definition) => [definition.code, definition]));
		this.lists = new ProductLists(parts.products);
	}

	static async load(storeId: number): Promise<CatalogState> {
		const db = database();
		const products = await allProducts(db, storeId);
		return new CatalogState(nextVersion(), {
			products: new Map(products.map((product) => [product.key, product])),
			categories: await allCategories(db, storeId),
			definitions: await allAttributes(db, storeId),
			categoryValues: await categoryValues(db, storeId),
			files: await allFiles(db, storeId)
		});
	}

	/** The state after some products were changed. */
	async withProducts(storeId: number, keys: readonly string[]): Promise<CatalogState> {
		const products = new Map(this.parts.products);
		const found = new Map((await productsByKeys(database(), storeId, keys)).map((product) => [product.key, product]));
		for (const key of keys) {
			const product = found.get(key);
			if (product) products.set(key, product);
			else products.delete(key);
		}
		return new CatalogState(nextVersion(), { ...this.parts, products });
	}

	product(key: string): Product | undefined {
		return this.parts.products.get(key);
	}

	/** Every product, hidden ones too, in the order of their keys. */
	get products(): Iterable<Product> {
		return this.parts.products.values();
	}

	get definitions(): readonly AttributeDefinition[] {
		return this.parts.definitions;
	}

	get categories(): readonly Category[] {
		return this.parts.categories;
	}

	readonly attribute = (code: string): AttributeDefinition | undefined => this.byCode.get(code);

	readonly categoryTitle = (key: string): string | undefined => this.titles.get(key);

	readonly categoryValue = (key: string, code: string): AttributeValue | undefined =>
		this.parts.categoryValues.get(key)?.[code];

	/** The values of a category's attributes. */
	valuesOfCategory(key: string): Record<string, AttributeValue> {
		return this.parts.categoryValues.get(key) ?? {};
	}

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
		const visible = [...this.products].filter((product) => product.visible);
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
