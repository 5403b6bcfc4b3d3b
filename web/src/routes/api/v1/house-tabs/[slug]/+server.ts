import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { getHouseTab, putHouseTab, removeHouseTab } from '$lib/server/work/houseTabs.js';

export const GET = api((event, actor) => getHouseTab(actor, parameter(event, 'slug')));

export const PUT = api(async (event, actor) =>
	putHouseTab(actor, parameter(event, 'slug'), await readJson(event.request))
);

export const DELETE = api(async (event, actor) => {
	await removeHouseTab(actor, parameter(event, 'slug'));
	return new Response(null, { status: 204 });
});
