import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { moveInOrder } from '$lib/server/work/order.js';

/** Moves placements and the theme's tabs in one transaction. */
export const POST = api(async ({ request }, actor) => moveInOrder(actor, await readJson(request), Date.now()));
