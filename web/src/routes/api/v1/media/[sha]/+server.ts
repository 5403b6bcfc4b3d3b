import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { patchMedia } from '$lib/server/work/media.js';

/** Renames, describes, takes from the shelf (`removed`) or puts back. */
export const PATCH = api(async (event, actor) =>
	patchMedia(actor, parameter(event, 'sha'), await readJson(event.request))
);
