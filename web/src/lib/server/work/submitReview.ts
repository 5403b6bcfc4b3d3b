import { createHash } from 'node:crypto';
import { readFile, writeFile } from 'node:fs/promises';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import sharp from 'sharp';
import { z } from 'zod';
import { submissionSchema, type Review, type Submission } from '@anbau/core/reviews';
import { takeBytes, unfit } from '../bytes.js';
import { writeAudit } from '../db/audit.js';
import { transaction } from '../db/pool.js';
import { reviewsByIds } from '../db/reviews.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { productPass } from '../state/reviewsState.js';
import { storeStates, type StoreState } from '../state/storeStates.js';
import { invitationToken, invitedOrder } from '../visitorToken.js';
import { writeReviews } from './reviews.js';

const HOUR = 3600;
/** How many reviews one address may send an hour, and how many a store takes in all. */
const perAddress = new RateLimiterMemory({ points: 10, duration: HOUR, keyPrefix: 'address' });
const picturesPerAddress = new RateLimiterMemory({ points: 30, duration: HOUR, keyPrefix: 'pictures' });
const perStore = new RateLimiterMemory({ points: 300, duration: HOUR, keyPrefix: 'store' });

const CUSTOMER = 'a customer';

/**
 * Takes a review that was written in the shop. It waits to be looked at; nothing is public before. What a program
 * filled in is thanked for like any other and kept nowhere.
 */
export async function submitReview(storeKey: string, input: unknown, address: string, now: number): Promise<boolean> {
	const state = await storeStates.byKey(storeKey, now);
	if (!state) return false;
	const submission = readBy(submissionSchema, input, 'The review');
	if (submission.website !== '') return true;
	const { store } = state;
	checkPass(state, submission);
	await count(perAddress, `${store.id} ${address}`);
	await count(perStore, String(store.id));
	const review = await reviewOf(submission, state, now);
	await transaction(async (client) => {
		// The same review twice, or a second one for the same order, is kept once.
		if ((await reviewsByIds(client, store.id, [review.id])).length > 0) return;
		await writeReviews(client, store.id, [], [review]);
		await writeAudit(client, { storeId: store.id, name: CUSTOMER }, 'submit', `review ${review.id}`, null, null);
	});
	return true;
}

/** The product's signature, which stands in its form. */
function checkPass({ catalog, store }: StoreState, { product, pass }: Pick<Submission, 'product' | 'pass'>): void {
	if (pass === productPass(product, store.visitorSecret) && catalog.product(product)) return;
	throw new Problem('invalid', 422, 'The review cannot be taken.', [
		{ at: '/pass', message: 'is not the signature of this product; load the page again' }
	]);
}

/** The most that a customer's picture may have, in bytes, and its longer side once it is kept, in pixels. */
const MOST_PICTURE = 8 * 1024 * 1024;
const LONGEST = 1600;

/**
 * Takes a picture for a review. It is drawn anew, so that nothing but the picture itself is kept: no place where it was
 * taken, and nothing that hides behind it. Null where there is no such store.
 */
export async function takePicture(
	storeKey: string,
	parameters: URLSearchParams,
	body: AsyncIterable<Uint8Array>,
	address: string,
	now: number
): Promise<{ address: string } | null> {
	const state = await storeStates.byKey(storeKey, now);
	if (!state) return null;
	checkPass(state, { product: parameters.get('product') ?? '', pass: parameters.get('pass') ?? '' });
	await count(picturesPerAddress, `${state.store.id} ${address}`);
	const { sha256 } = await takeBytes('media', body, MOST_PICTURE, drawAnew);
	return { address: `media:${sha256}.webp` };
}

async function drawAnew(path: string): Promise<void> {
	let drawn: Buffer;
	try {
		const shape = { width: LONGEST, height: LONGEST, fit: 'inside', withoutEnlargement: true } as const;
		drawn = await sharp(await readFile(path))
			.rotate()
			.resize(shape)
			.webp({ quality: 80 })
			.toBuffer();
	} catch {
		throw unfit('The file is no picture that could be shown.');
	}
	await writeFile(path, drawn);
}

async function reviewOf(submission: Submission, { store }: StoreState, now: number): Promise<Review> {
	const { product, rating, title, text, author, pictures, invitation } = submission;
	const invited = invitation === null ? null : await invitedOrder(invitation, store.visitorSecret, now);
	const verified = invited?.products.includes(product) ?? false;
	const said = verified ? [invited?.order, product] : [product, author, text];
	return {
		id: `s-${createHash('sha256').update(JSON.stringify(said)).digest('hex').slice(0, 20)}`,
		product,
		rating,
		title,
		text,
		author,
		date: new Date(now).toISOString(),
		verified,
		pictures,
		state: 'waiting',
		reason: '',
		reply: ''
	};
}

async function count(limiter: RateLimiterMemory, key: string): Promise<void> {
	try {
		await limiter.consume(key);
	} catch (error) {
		if (!(error instanceof RateLimiterRes)) throw error;
		const minutes = Math.ceil(error.msBeforeNext / 60_000);
		throw new Problem('too-many-tries', 429, `That were many reviews; try again in ${minutes} minutes.`);
	}
}

export const invitationSchema = z.strictObject({
	/** The shop's number of the order. */
	order: z.string().trim().min(1, 'must not be empty').max(100),
	products: z.array(z.string().min(1).max(200)).min(1, 'must name a product').max(100)
});

/** Links by which the customer of an order reviews its products, each on its product's page. */
export async function inviteToReview(
	actor: Actor,
	input: unknown,
	now: number
): Promise<{ product: string; url: string }[]> {
	const order = readBy(invitationSchema, input, 'The invitation');
	const { catalog, store } = await storeStates.byId(actor.storeId, now);
	const gone = order.products.findIndex((key) => !catalog.product(key)?.url);
	if (gone >= 0)
		throw new Problem('invalid', 422, 'The invitation cannot be made.', [
			{ at: `/products/${gone}`, message: `“${order.products[gone]}” is no product with an address` }
		]);
	const token = await invitationToken(order, store.visitorSecret, now);
	return order.products.map((key) => ({
		product: key,
		url: `${catalog.product(key)?.url ?? ''}#anbau-review=${token}`
	}));
}
