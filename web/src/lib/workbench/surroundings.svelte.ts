import { factsOfProduct, type Product } from '@anbau/core/catalog';
import { GUEST, type Piece } from '@anbau/core/pieces';
import {
	CompiledRelease,
	exceptionsByPiece,
	explainPiece,
	type Exception,
	type Explanation,
	type HouseTab,
	type PageDocument
} from '@anbau/core/placement';
import type { Names } from '@anbau/core/rules';
import type { StoreView } from '$lib/contracts.js';
import { request } from '$lib/desk/request.js';
import { catalogIndex } from '$lib/reach/catalogIndex.js';

/** Everything round the piece on the workbench: the other pieces, the theme's tabs, the store, products looked at. */
export class Surroundings {
	/** Titles by key, filled as they are met. */
	categories = $state.raw<Record<string, string>>({});
	productTitles = $state.raw<Record<string, string>>({});
	private readonly products = new Map<string, Promise<Product>>();

	constructor(
		readonly store: StoreView,
		private readonly others: Record<string, Piece>,
		private readonly houseTabs: HouseTab[],
		private readonly exceptions: Exception[],
		private readonly off: ReadonlySet<string>
	) {}

	readonly names: Names = {
		category: (key) => this.categories[key],
		product: (key) => this.productTitles[key]
	};

	/** Looks up the titles of products and of all categories. */
	async learnNames(products: string[]): Promise<void> {
		const unknown = products.filter((key) => !(key in this.productTitles));
		const found = await catalogIndex.ask('names', { products: unknown });
		this.categories = found.categories;
		this.productTitles = { ...this.productTitles, ...found.products };
	}

	product(key: string): Promise<Product> {
		let promise = this.products.get(key);
		if (!promise) {
			promise = request<Product>(`/api/v1/products/${encodeURIComponent(key)}`);
			this.products.set(key, promise);
			promise.catch(() => this.products.delete(key));
		}
		return promise;
	}

	/** The page of a product with the drafts of all pieces, this one as it is now. */
	resolve(slug: string, piece: Piece, on: boolean, product: Product, now: number): PageDocument {
		const content = {
			pieces: { ...this.others, [slug]: piece },
			houseTabs: this.houseTabs,
			exceptions: this.exceptions
		};
		const isOff = (one: string) => (one === slug ? !on : this.off.has(one));
		const release = new CompiledRelease(0, content, this.store.zone, isOff, now);
		return release.resolve({ facts: factsOfProduct(product), live: this.live(product), visitor: GUEST, now });
	}

	/** Why the piece shows on a product's page or does not. */
	explain(
		slug: string,
		piece: Piece,
		on: boolean,
		product: Product,
		document: PageDocument,
		missingHooks: string[],
		now: number
	): Explanation {
		return explainPiece({
			slug,
			piece,
			on,
			product,
			facts: factsOfProduct(product),
			live: this.live(product),
			circumstances: { visitor: GUEST, now, zone: this.store.zone },
			exceptions: exceptionsByPiece(this.exceptions)(slug),
			names: this.names,
			document,
			missingHooks
		});
	}

	private live(product: Product) {
		return { product, locale: this.store.locale, categoryTitle: (key: string) => this.categories[key] };
	}
}
