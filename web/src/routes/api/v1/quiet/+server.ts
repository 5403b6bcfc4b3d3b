import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { quietOn } from '$lib/server/work/quiet.js';

/** On how many of the products that a piece reaches it, or a part of it, stays away. */
export const POST = api(async ({ request }, actor) =>
	quietOn(actor, await readJson(request), Date.now(), request.signal)
);
