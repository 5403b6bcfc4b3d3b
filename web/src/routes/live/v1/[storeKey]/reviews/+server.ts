import type { RequestHandler } from './$types';
import { CORS, liveAnswer, preflight } from '$lib/server/liveAnswer.js';
import { readTextBody } from '$lib/server/requestBody.js';
import { reviewPage } from '$lib/server/work/reviewPage.js';
import { submitReview } from '$lib/server/work/submitReview.js';

/** A page of a section's reviews, public and without cookies. */
export const GET: RequestHandler = async ({ params, url }) => {
	const html = await reviewPage(params.storeKey, url.searchParams, Date.now());
	if (html === null) return new Response('There is no such section of reviews.', { status: 404, headers: CORS });
	return new Response(html, {
		headers: { ...CORS, 'content-type': 'text/html; charset=utf-8', 'cache-control': 'public, max-age=0, s-maxage=60' }
	});
};

/** The most that a form holds is far below this, in bytes. */
const MOST_BYTES = 64 * 1024;

/** Takes a review that was written in the shop. */
export const POST: RequestHandler = ({ params, request, getClientAddress }) =>
	liveAnswer(async () => {
		const input: unknown = JSON.parse(await readTextBody(request, MOST_BYTES));
		const taken = await submitReview(params.storeKey, input, getClientAddress(), Date.now());
		return taken ? { state: 'waiting' } : null;
	}, 202);

export const OPTIONS: RequestHandler = preflight;
