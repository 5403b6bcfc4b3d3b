import {
	factsOfPage,
	factsOfProduct,
	type AttributeDefinition,
	type AttributeValue,
	type PageRef,
	type Product
} from '@anbau/core/catalog';
import { GUEST, liveContext, type LiveContext, type Piece, type Visitor } from '@anbau/core/pieces';
import {
	CompiledRelease,
	EMPTY_RELEASE,
	explainPiece,
	type Exception,
	type Explanation,
	type HousePart,
	type HouseTab,
	type PageDocument,
	type PageRequest,
	type ThemeHook
} from '@anbau/core/placement';
import type { Names } from '@anbau/core/rules';
import type { OwnIcon, StoreView } from '$lib/contracts.js';
import { request } from '$lib/desk/request.js';
import { catalogIndex } from '$lib/reach/catalogIndex.js';
import { ReviewCache } from './reviewCache.svelte.js';
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

/** A page that is looked at, by whom and when. */
export interface LookedAt {
	page: PageRef;
	/** The product of a product's page. */
	product: Product | null;
	visitor: Visitor;
	/** Milliseconds since the epoch. */
	now: number;
}

/** A piece as it is drafted. */
export interface Drafted {
	slug: string;
	piece: Piece;
	on: boolean;
}

/** Everything round the piece on the workbench: the other pieces, the theme's tabs, the store, products looked at. */
export class Surroundings {
	/** Titles by key, filled as they are met. */
	categories = $state.raw<Record<string, string>>({});
	productTitles = $state.raw<Record<string, string>>({});
	private readonly products = new Map<string, Promise<Product>>();

	private readonly lists = new ListCache();
	private readonly reviews = new ReviewCache();

	constructor(private readonly given: Given) {}

	get store(): StoreView {
		return this.given.store;
	}

	readonly names: Names = {
		category: (key) => this.categories[key],
		product: (key) => this.productTitles[key],
		attribute: (code) => this.attribute(code)?.label
	};

	/** Whether product lists or reviews are still on their way. */
	get isFilling(): boolean {
		return this.lists.asking + this.reviews.asking > 0;
	}

	/** The library name of another piece. */
	nameOf(slug: string): string | undefined {
		return this.given.others[slug]?.name;
	}

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

	/** Every draft as one release, some pieces as they are on the screen. */
	compiled(pieces: Record<string, Piece>, isOff: (slug: string) => boolean, now: number): CompiledRelease {
		const { houseTabs, houseParts, hooks, exceptions, store } = this.given;
		const { strip, style } = store;
		const content = { ...EMPTY_RELEASE, pieces, houseTabs, houseParts, hooks, exceptions, strip, style };
		return new CompiledRelease(0, content, store.zone, isOff, now);
	}

	/** The page of a product with the drafts of all pieces, this one as it is now. */
	resolve(slug: string, piece: Piece, on: boolean, product: Product, now: number): PageDocument {
		const { others, off } = this.given;
		const isOff = (one: string) => (one === slug ? !on : off.has(one));
		const release = this.compiled({ ...others, [slug]: piece }, isOff, now);
		return release.resolve(this.asked({ page: { kind: 'product', key: product.key }, product, visitor: GUEST, now }));
	}

	/** What a page is resolved from. */
	asked({ page, product, visitor, now }: LookedAt): PageRequest {
		const facts = product ? factsOfProduct(product) : factsOfPage(page);
		return { facts, live: this.live(page, product, now), visitor, now };
	}

	/** Why a piece shows on a page or does not. */
	explain(drafted: Drafted, looked: LookedAt, document: PageDocument, missingHooks: string[] = []): Explanation {
		const { facts, live, visitor, now } = this.asked(looked);
		return explainPiece({
			...drafted,
			product: looked.product,
			facts,
			live,
			circumstances: { visitor, now, zone: this.store.zone },
			exceptions: this.given.exceptions,
			hooks: this.given.hooks,
			names: this.names,
			document,
			missingHooks
		});
	}

	private live(page: PageRef, product: Product | null, now: number): LiveContext {
		const { store, categoryValues, icons } = this.given;
		const { delivery, ageLimitHours, frameHosts } = store.settings;
		return liveContext({
			product,
			category: page.kind === 'category' ? page.key : (product?.categories[0] ?? null),
			locale: store.locale,
			now,
			zone: store.zone,
			store: { name: store.name, url: store.url },
			categoryTitle: (key) => this.categories[key],
			attribute: this.attribute,
			categoryValue: (key, code) => categoryValues[key]?.[code],
			delivery,
			ageLimit: ageLimitHours === null ? null : ageLimitHours * 3_600_000,
			products: this.lists.on(product?.key ?? ''),
			reviews: this.reviews,
			frameHosts,
			icon: (slug) => icons().find((one) => one.slug === slug)?.svg,
			base: store.base
		});
	}
}
