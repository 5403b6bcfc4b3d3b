import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { inviteToReview } from '$lib/server/work/submitReview.js';

/** Links by which the customer of an order reviews its products: `{order, products}`. */
export const POST = api(async ({ request }, actor) => inviteToReview(actor, await readJson(request), Date.now()));
