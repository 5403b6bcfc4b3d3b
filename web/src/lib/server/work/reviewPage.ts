import { z } from 'zod';
import { renderReviewPage } from '@anbau/core/pieces';
import { countOf, REVIEW_ORDERS } from '@anbau/core/reviews';
import { listReviews } from '../db/reviewList.js';
import { database } from '../db/pool.js';
import { liveOn } from '../state/liveOn.js';
import { storeStates } from '../state/storeStates.js';

const querySchema = z.object({
	order: z.enum(REVIEW_ORDERS).catch('newest'),
	rating: z.coerce.number().int().min(1).max(5).nullable().catch(null),
	page: z.coerce.number().int().min(1).max(10_000).catch(1)
});

/** A page of a section's reviews as HTML, ordered and filtered; null where no such section is public. */
export async function reviewPage(storeKey: string, parameters: URLSearchParams, now: number): Promise<string | null> {
	const state = await storeStates.byKey(storeKey, now);
	const piece = state?.release.content.pieces[parameters.get('piece') ?? ''];
	const product = state?.catalog.product(parameters.get('product') ?? '');
	if (!state || piece?.kind !== 'reviews' || piece.settings.form !== 'section' || !product) return null;
	const { order, rating, page } = querySchema.parse({
		order: parameters.get('order'),
		rating: parameters.get('rating') || null,
		page: parameters.get('page')
	});
	const { perPage } = piece.settings;
	const filter = { state: 'shown' as const, product: product.key, rating, verified: null, text: '' };
	const { reviews } = await listReviews(database(), state.store.id, filter, {
		order,
		offset: (page - 1) * perPage,
		limit: perPage
	});
	const histogram = state.reviews.of(product.key)?.histogram;
	const total = rating === null ? (histogram ? countOf(histogram) : 0) : (histogram?.[rating - 1] ?? 0);
	const live = liveOn(state, { kind: 'product', key: product.key }, product, now);
	return renderReviewPage({ reviews, page, pages: Math.max(1, Math.ceil(total / perPage)) }, live);
}
