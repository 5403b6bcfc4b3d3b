import { api } from '$lib/server/api.js';
import { storeStates } from '$lib/server/state/storeStates.js';

/** The packed catalogue that reach is counted from in a browser. */
export const GET = api(async ({ request }, actor) => {
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const etag = `"${catalog.version}"`;
	const headers = { etag, 'cache-control': 'private, no-cache', 'content-type': 'application/json' };
	if (request.headers.get('if-none-match') === etag) return new Response(null, { status: 304, headers });
	return new Response(catalog.packedJson, { headers });
});
