import type { ShownReview } from './review.js';
import type { Histogram } from './stats.js';

/** In which order reviews are read; `best` is by rating and then the newest, `worst` likewise from below. */
export const REVIEW_ORDERS = ['newest', 'oldest', 'best', 'worst'] as const;
export type ReviewOrder = (typeof REVIEW_ORDERS)[number];

/** Which of a product's shown reviews are asked for; `page` counts from 1, `rating` null is any. */
export interface ReviewQuery {
	order: ReviewOrder;
	rating: number | null;
	page: number;
	perPage: number;
}

/** What of a product's reviews is at hand wherever a page is rendered: all counted, the first of them to read. */
export interface ProductReviews {
	/** Of the shown ones. */
	histogram: Histogram;
	/** The first of each of the two orders that a widget begins with. */
	newest: readonly ShownReview[];
	best: readonly ShownReview[];
}

/** Where widgets get reviews from. */
export interface ReviewSource {
	/** Undefined for a product without any. */
	of: (product: string) => ProductReviews | undefined;
	/** A review that was picked by hand; undefined when it is gone or not shown. */
	byId: (id: string) => ShownReview | undefined;
	/** The signature of a product that the form carries; empty where nothing can be sent. */
	pass: (product: string) => string;
}

const nothing = () => undefined;
export const NO_SOURCE: ReviewSource = { of: nothing, byId: nothing, pass: () => '' };
