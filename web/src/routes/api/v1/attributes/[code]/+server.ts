import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { getAttribute, putAttribute, removeAttribute } from '$lib/server/work/attributes.js';

export const GET = api((event, actor) => getAttribute(actor, parameter(event, 'code')));

/** Writes a definition. `If-None-Match: *` guards a taken code; `?drop=true` clears values that cannot be converted. */
export const PUT = api(async (event, actor) => {
	const onlyNew = event.request.headers.get('if-none-match') === '*';
	const drop = event.url.searchParams.get('drop') === 'true';
	return putAttribute(actor, parameter(event, 'code'), await readJson(event.request), { onlyNew, drop });
});

export const DELETE = api(async (event, actor) => {
	await removeAttribute(actor, parameter(event, 'code'));
	return new Response(null, { status: 204 });
});
