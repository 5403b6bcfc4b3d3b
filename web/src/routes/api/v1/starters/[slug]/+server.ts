import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { putStarter, removeStarter } from '$lib/server/work/starters.js';

export const PUT = api(async (event, actor) =>
	putStarter(actor, parameter(event, 'slug'), await readJson(event.request))
);

export const DELETE = api(async (event, actor) => {
	await removeStarter(actor, parameter(event, 'slug'));
	return new Response(null, { status: 204 });
});
