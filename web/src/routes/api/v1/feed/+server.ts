import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { feedView, putFeed } from '$lib/server/work/feed.js';

export const GET = api((_, actor) => feedView(actor));

/** Sets where the catalogue is pulled from and how often; null for nowhere. */
export const PUT = api(async ({ request }, actor) => putFeed(actor, await readJson(request), Date.now()));
