import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { putIcon, removeIcon } from '$lib/server/work/icons.js';

export const PUT = api(async (event, actor) => putIcon(actor, parameter(event, 'slug'), await readJson(event.request)));

export const DELETE = api(async (event, actor) => {
	await removeIcon(actor, parameter(event, 'slug'));
	return new Response(null, { status: 204 });
});
