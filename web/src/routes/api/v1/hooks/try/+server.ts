import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { trySelector } from '$lib/server/work/sightings.js';

/** How many elements a selector finds on sample pages of the shop. */
export const POST = api(async ({ request }, actor) => trySelector(actor, await readJson(request), request.signal));
