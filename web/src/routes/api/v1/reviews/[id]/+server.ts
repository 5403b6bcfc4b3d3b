import { api, parameter } from '$lib/server/api.js';
import { eraseReview, reviewById } from '$lib/server/work/reviews.js';

export const GET = api((event, actor) => reviewById(actor, parameter(event, 'id')));

/** Erases a review for good. */
export const DELETE = api(async (event, actor) => {
	await eraseReview(actor, parameter(event, 'id'));
	return new Response(null, { status: 204 });
});
