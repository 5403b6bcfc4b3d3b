import { z } from 'zod';
import {
	counted,
	moderationSchema,
	NO_REVIEWS,
	REVIEW_ORDERS,
	REVIEW_STATES,
	scoreOf,
	trendOf,
	type Histogram,
	type Month,
	type ProductReviews,
	type Review,
	type ReviewState
} from '@anbau/core/reviews';
import { writeAudit } from '../db/audit.js';
import { tell } from '../db/notify.js';
import { database, transaction, type Db } from '../db/pool.js';
import { allCounts, listReviews, reviewMonths, stateCounts } from '../db/reviewList.js';
import { addCounts, countsOf, deleteReview, reviewsByIds, upsertReviews } from '../db/reviews.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';

/** How many reviews a page of the list has. */
export const PER_PAGE = 50;

const whole = (text: string | null) => (text === null || text === '' ? null : Number(text));
/** The parts of a question about reviews, as they stand in an address. */
export const reviewQuerySchema = z.object({
	state: z.enum(REVIEW_STATES).nullable(),
	product: z.string().max(200).nullable(),
	rating: z.number().int().min(1).max(5).nullable(),
	verified: z.boolean().nullable(),
	text: z.string().max(200),
	order: z.enum(REVIEW_ORDERS),
	page: z.number().int().min(1).max(100_000)
});

/** Reads a question about reviews from an address. */
export function reviewQuery(parameters: URLSearchParams): z.infer<typeof reviewQuerySchema> {
	const verified = parameters.get('verified');
	const input = {
		state: parameters.get('state') || null,
		product: parameters.get('product') || null,
		rating: whole(parameters.get('rating')),
		verified: verified ? verified === 'true' : null,
		text: parameters.get('q') ?? '',
		order: parameters.get('order') ?? 'newest',
		page: whole(parameters.get('page')) ?? 1
	};
	return readBy(reviewQuerySchema, input, 'The question');
}

/** A review with the title of its product. */
export interface ReviewView extends Review {
	productTitle: string;
}

export interface ReviewsView {
	reviews: ReviewView[];
	/** How many the filter finds, and how many there are in each state. */
	total: number;
	counts: Record<ReviewState, number>;
}

/** A page of the reviews that a filter finds. */
export async function reviewsView(actor: Actor, parameters: URLSearchParams): Promise<ReviewsView> {
	const { order, page, ...filter } = reviewQuery(parameters);
	const found = await listReviews(database(), actor.storeId, filter, {
		order,
		offset: (page - 1) * PER_PAGE,
		limit: PER_PAGE
	});
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const reviews = found.reviews.map((one) => ({
		...one,
		productTitle: catalog.product(one.product)?.title ?? one.product
	}));
	return { reviews, total: found.total, counts: await stateCounts(database(), actor.storeId) };
}

/** How a product's shown reviews stand, or those of the whole store: counts, and month by month. */
export interface ReviewStatistics {
	histogram: Histogram;
	trend: Month[];
	/** The products with reviews, best score first, the first twenty. */
	products: { key: string; title: string; histogram: Histogram; score: number }[];
}

export async function reviewStatistics(actor: Actor, product: string | null): Promise<ReviewStatistics> {
	const db = database();
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const all = await allCounts(db, actor.storeId);
	const histogram =
		product === null
			? all.reduce((sum, { counts }) => added(sum, counts), NO_REVIEWS)
			: await countsOf(db, actor.storeId, product);
	const products = all
		.map(({ product: key, counts }) => ({
			key,
			title: catalog.product(key)?.title ?? key,
			histogram: counts,
			score: scoreOf(counts)
		}))
		.sort((a, b) => b.score - a.score || (a.key < b.key ? -1 : 1))
		.slice(0, 20);
	return { histogram, trend: trendOf(await reviewMonths(db, actor.storeId, product)), products };
}

const added = (a: Histogram, b: Histogram) => a.map((n, i) => n + (b[i] ?? 0)) as unknown as Histogram;

/**
 * Writes reviews in a transaction and keeps the counts of their products; answers the products whose shown reviews
 * changed. `before` are those of them that were there, locked.
 */
export async function writeReviews(
	client: Db,
	storeId: number,
	before: readonly Review[],
	after: readonly Review[]
): Promise<string[]> {
	const changes = new Map<string, Histogram>();
	const count = ({ product, rating, state }: Review, by: number) => {
		if (state === 'shown') changes.set(product, counted(changes.get(product) ?? NO_REVIEWS, rating, by));
	};
	for (const review of before) count(review, -1);
	for (const review of after) count(review, 1);
	if (after.length > 0) await upsertReviews(client, storeId, after);
	if (changes.size > 0) await addCounts(client, storeId, changes);
	return [...changes.keys()];
}

const bulkSchema = z.looseObject({ ids: z.array(z.string().min(1).max(100)).min(1, 'must name a review').max(500) });

/** Shows, hides or answers reviews, all of them in one transaction; answers them as they are now. */
export async function moderate(actor: Actor, input: unknown): Promise<Review[]> {
	const { ids, ...rest } = readBy(bulkSchema, input, 'The change');
	const change = readBy(moderationSchema, rest, 'The change');
	if (change.reply !== undefined && ids.length > 1)
		throw new Problem('invalid', 422, 'The change cannot be taken.', [
			{ at: '/reply', message: 'is for one review at a time' }
		]);
	const { after, products } = await transaction(async (client) => {
		const before = await reviewsByIds(client, actor.storeId, ids, 'FOR UPDATE');
		const gone = ids.find((id) => !before.some((one) => one.id === id));
		if (gone !== undefined) throw new Problem('not-found', 404, `There is no review “${gone}”.`);
		const after = before.map((one) => moderated(one, change));
		const products = await writeReviews(client, actor.storeId, before, after);
		await writeAudit(client, actor, 'moderate', `reviews ${ids.length}`, before, after);
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'reviews' });
		return { after, products: [...new Set([...products, ...after.map(({ product }) => product)])] };
	});
	await storeStates.reloadReviews(actor.storeId, products);
	return after;
}

function moderated(review: Review, { state = review.state, reason, reply }: z.infer<typeof moderationSchema>): Review {
	return {
		...review,
		state,
		reason: state === 'hidden' ? (reason ?? review.reason) : '',
		reply: reply ?? review.reply
	};
}

/** Erases a review for good, as a customer may ask for. */
export async function eraseReview(actor: Actor, id: string): Promise<void> {
	const product = await transaction(async (client) => {
		const [before] = await reviewsByIds(client, actor.storeId, [id], 'FOR UPDATE');
		if (!before) throw new Problem('not-found', 404, `There is no review “${id}”.`);
		await writeReviews(client, actor.storeId, [before], []);
		await deleteReview(client, actor.storeId, id);
		// What was erased is not kept in the audit either.
		await writeAudit(client, actor, 'erase', `review ${id}`, null, null);
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'reviews' });
		return before.product;
	});
	await storeStates.reloadReviews(actor.storeId, [product]);
}

/** One review, whatever its state. */
export async function reviewById(actor: Actor, id: string): Promise<Review> {
	const [review] = await reviewsByIds(database(), actor.storeId, [id]);
	if (!review) throw new Problem('not-found', 404, `There is no review “${id}”.`);
	return review;
}

/** What a product's widgets have at hand; null for a product without shown reviews. */
export async function reviewsOfProduct(actor: Actor, key: string): Promise<ProductReviews | null> {
	return (await storeStates.byId(actor.storeId, Date.now())).reviews.of(key) ?? null;
}
