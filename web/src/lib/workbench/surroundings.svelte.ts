import { factsOfProduct, type AttributeDefinition, type AttributeValue, type Product } from '@anbau/core/catalog';
import { GUEST, liveContext, type LiveContext, type Piece } from '@anbau/core/pieces';
import {
	CompiledRelease,
	EMPTY_RELEASE,
	explainPiece,
	type Exception,
	type Explanation,
	type HousePart,
	type HouseTab,
	type PageDocument,
	type ThemeHook
} from '@anbau/core/placement';
import type { Names } from '@anbau/core/rules';
import type { OwnIcon, StoreView } from '$lib/contracts.js';
import { request } from '$lib/desk/request.js';
import { catalogIndex } from '$lib/reach/catalogIndex.js';
import { ListCache } from './listCache.svelte.js';

/** What the workbench is told of everything round its piece. */
export interface Given {
	store: StoreView;
	/** The drafts of the other pieces, by slug, and which of them are off. */
	others: Record<string, Piece>;
	off: ReadonlySet<string>;
	houseTabs: HouseTab[];
	houseParts: HousePart[];
	hooks: ThemeHook[];
	exceptions: Exception[];
	attributes: AttributeDefinition[];
	categoryValues: Record<string, Record<string, AttributeValue>>;
	icons: () => readonly OwnIcon[];
}

/** Everything round the piece on the workbench: the other pieces, the theme's tabs, the store, products looked at. */
export class Surroundings {
	/** Titles by key, filled as they are met. */
	categories = $state.raw<Record<string, string>>({});
	productTitles = $state.raw<Record<string, string>>({});
	private readonly products = new Map<string, Promise<Product>>();

	private readonly lists = new ListCache();

	constructor(private readonly given: Given) {}

	get store(): StoreView {
		return this.given.store;
	}

	readonly names: Names = {
		category: (key) => this.categories[key],
		product: (key) => this.productTitles[key],
		attribute: (code) => this.attribute(code)?.label
	};

	/** The attributes of products and categories. */
	get attributes(): readonly AttributeDefinition[] {
		return this.given.attributes;
	}

	readonly attribute = (code: string): AttributeDefinition | undefined =>
		this.given.attributes.find((one) => one.code === code);

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
		const { others, houseTabs, houseParts, hooks, exceptions, off, store } = this.given;
		const content = {
			...EMPTY_RELEASE,
			pieces: { ...others, [slug]: piece },
			houseTabs,
			houseParts,
			hooks,
			exceptions,
			strip: store.strip,
			style: store.style
		};
		const isOff = (one: string) => (one === slug ? !on : off.has(one));
		const release = new CompiledRelease(0, content, store.zone, isOff, now);
		return release.resolve({ facts: factsOfProduct(product), live: this.live(product, now), visitor: GUEST, now });
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
			live: this.live(product, now),
			circumstances: { visitor: GUEST, now, zone: this.store.zone },
			exceptions: this.given.exceptions,
			hooks: this.given.hooks,
			names: this.names,
			document,
			missingHooks
		});
	}

	private live(product: Product, now: number): LiveContext {
		const { store, categoryValues, icons } = this.given;
		const { delivery, ageLimitHours } = store.settings;
		return liveContext({
			product,
			locale: store.locale,
			now,
			zone: store.zone,
			store: { name: store.name, url: store.url },
			categoryTitle: (key) => this.categories[key],
			attribute: this.attribute,
			categoryValue: (key, code) => categoryValues[key]?.[code],
			delivery,
			ageLimit: ageLimitHours === null ? null : ageLimitHours * 3_600_000,
			products: this.lists.on(product.key),
			icon: (slug) => icons().find((one) => one.slug === slug)?.svg,
			base: store.base
		});
	}
}
