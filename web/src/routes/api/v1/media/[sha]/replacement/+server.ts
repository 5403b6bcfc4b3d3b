import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { replaceMedia } from '$lib/server/work/mediaUse.js';

/** Puts another upload in its place everywhere: `{by}`. */
export const POST = api(async (event, actor) =>
	replaceMedia(actor, parameter(event, 'sha'), await readJson(event.request))
);
