import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { planAttribute } from '$lib/server/work/attributes.js';

/** What a changed definition would do to the values that are there; nothing is changed. */
export const POST = api(async (event, actor) =>
	planAttribute(actor, parameter(event, 'code'), await readJson(event.request))
);
