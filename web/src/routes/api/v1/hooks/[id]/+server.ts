import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { getHook, putHook, removeHook } from '$lib/server/work/hooks.js';

export const GET = api((event, actor) => getHook(actor, parameter(event, 'id')));

export const PUT = api(async (event, actor) => putHook(actor, parameter(event, 'id'), await readJson(event.request)));

export const DELETE = api(async (event, actor) => {
	await removeHook(actor, parameter(event, 'id'));
	return new Response(null, { status: 204 });
});
