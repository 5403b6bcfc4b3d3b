import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { getHousePart, putHousePart, removeHousePart } from '$lib/server/work/houseParts.js';

export const GET = api((event, actor) => getHousePart(actor, parameter(event, 'slug')));

export const PUT = api(async (event, actor) =>
	putHousePart(actor, parameter(event, 'slug'), await readJson(event.request))
);

export const DELETE = api(async (event, actor) => {
	await removeHousePart(actor, parameter(event, 'slug'));
	return new Response(null, { status: 204 });
});
