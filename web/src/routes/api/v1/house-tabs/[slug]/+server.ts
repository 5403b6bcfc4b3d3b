import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { getHouseTab, putHouseTab } from '$lib/server/work/houseTabs.js';

export const GET = api((event, actor) => getHouseTab(actor, parameter(event, 'slug')));

export const PUT = api(async (event, actor) =>
	putHouseTab(actor, parameter(event, 'slug'), await readJson(event.request))
);
