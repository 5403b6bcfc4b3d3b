import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { describeLink } from '$lib/server/work/links.js';

/** What a link shows, as its provider says by oEmbed: `{url}`. */
export const POST = api(async ({ request }, actor) => describeLink(actor, await readJson(request)));
