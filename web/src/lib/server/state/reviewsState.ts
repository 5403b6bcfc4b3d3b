import { createHmac } from 'node:crypto';
import { bodiesOf, MOST_PER_PAGE, partsOf, pickedReviews, type Body, type Piece } from '@anbau/core/pieces';
import type { ReleaseContent } from '@anbau/core/placement';
import type { ProductReviews, ReviewSource, ShownReview } from '@anbau/core/reviews';
import { database } from '../db/pool.js';
import { productReviews, reviewsByIds } from '../db/reviews.js';

/** A store's reviews in memory: of each product its counts and the first to read, and those that are quoted by hand. */
export class ReviewsState {
	private constructor(
		private readonly storeId: number,
		private readonly byProduct: ReadonlyMap<string, ProductReviews>,
		private readonly quoted: ReadonlyMap<string, ShownReview>
	) {}

	static async load(storeId: number, content: ReleaseContent): Promise<ReviewsState> {
		const byProduct = await productReviews(database(), storeId, MOST_PER_PAGE);
		return new ReviewsState(storeId, byProduct, await quotedIn(storeId, content));
	}

	/** The state after reviews of some products changed. */
	async withProducts(keys: readonly string[], content: ReleaseContent): Promise<ReviewsState> {
		const byProduct = new Map(this.byProduct);
		for (const [key, found] of await productReviews(database(), this.storeId, MOST_PER_PAGE, keys))
			byProduct.set(key, found);
		return new ReviewsState(this.storeId, byProduct, await quotedIn(this.storeId, content));
	}

	of(product: string): ProductReviews | undefined {
		return this.byProduct.get(product);
	}

	/** Where the widgets of a store get their reviews from; forms carry their product's signature by the secret. */
	source(secret: string): ReviewSource {
		return {
			of: (product) => this.byProduct.get(product),
			byId: (id) => this.quoted.get(id),
			pass: (product) => productPass(product, secret)
		};
	}
}

/** A product's signature: whoever sends a review got the form from this store. */
export function productPass(product: string, secret: string): string {
	return createHmac('sha256', secret).update(`review of ${product}`).digest('base64url').slice(0, 22);
}

async function quotedIn(storeId: number, { pieces, exceptions }: ReleaseContent): Promise<Map<string, ShownReview>> {
	const own = exceptions.flatMap((one) => (one.mode === 'body' ? quotedInBody(one.body) : []));
	const ids = [...new Set([...Object.values(pieces).flatMap(quotedByPiece), ...own])];
	if (ids.length === 0) return new Map();
	const reviews = await reviewsByIds(database(), storeId, ids);
	return new Map(reviews.filter(({ state }) => state === 'shown').map((one) => [one.id, one]));
}

function quotedByPiece(piece: Piece): string[] {
	const picked = piece.kind === 'reviews' ? pickedReviews(piece.settings) : [];
	return [...picked, ...bodiesOf(piece).flatMap(({ body }) => quotedInBody(body))];
}

function quotedInBody(body: Body): string[] {
	return [...partsOf(body)].flatMap(({ part }) => (part.type === 'reviewQuote' ? [part.attrs.id] : []));
}
