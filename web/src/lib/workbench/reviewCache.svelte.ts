import type { ProductReviews, Review, ReviewSource, ShownReview } from '@anbau/core/reviews';
import { request } from '$lib/desk/request.js';

/**
 * Reviews as the server has them, for what is drafted. What is asked for and not there yet is empty at first; once it
 * has come, whatever was rendered with it is rendered anew.
 */
export class ReviewCache implements ReviewSource {
	private version = $state(0);
	/** How many times it is asking the server at the moment. */
	asking = $state(0);
	private readonly products = new Map<string, ProductReviews | null>();
	private readonly reviews = new Map<string, ShownReview | null>();

	readonly of = (product: string): ProductReviews | undefined =>
		this.known(this.products, product, `/api/v1/reviews/of/${encodeURIComponent(product)}`, (found) => found);

	readonly byId = (id: string): ShownReview | undefined =>
		this.known<ShownReview, Review>(this.reviews, id, `/api/v1/reviews/${encodeURIComponent(id)}`, (found) =>
			found.state === 'shown' ? found : null
		);

	/** Nothing is sent from a preview. */
	readonly pass = (): string => '';

	private known<T, Answer = T | null>(
		cache: Map<string, T | null>,
		key: string,
		path: string,
		take: (answer: Answer) => T | null
	): T | undefined {
		void this.version;
		const found = cache.get(key);
		if (found === undefined) {
			cache.set(key, null);
			queueMicrotask(() => void this.fetch(path, (answer: Answer) => cache.set(key, take(answer))));
		}
		return found ?? undefined;
	}

	private async fetch<Answer>(path: string, take: (answer: Answer) => void): Promise<void> {
		this.asking++;
		// One that is gone counts as none.
		await request<Answer>(path).then(take, () => undefined);
		this.version++;
		this.asking--;
	}
}
