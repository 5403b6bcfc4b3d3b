import type { RequestHandler } from './$types';
import { bearerOf } from '$lib/server/bearer.js';
import { livePage } from '$lib/server/work/livePage.js';

const CORS = { 'access-control-allow-origin': '*', 'access-control-expose-headers': 'etag', vary: 'authorization' };

/** The live document of one page, public and without cookies. */
export const GET: RequestHandler = async ({ params, url, request }) => {
	const token = bearerOf(request);
	const answer = await livePage(params.storeKey, url.searchParams, token, Date.now());
	if (!answer)
		return Response.json(
			{ type: 'urn:anbau:problem:not-found', title: 'There is no such store.', status: 404 },
			{ status: 404, headers: { ...CORS, 'content-type': 'application/problem+json' } }
		);
	const headers = {
		...CORS,
		etag: answer.etag,
		'cache-control': answer.cacheControl,
		'content-type': 'application/json; charset=utf-8'
	};
	if (request.headers.get('if-none-match') === answer.etag) return new Response(null, { status: 304, headers });
	return new Response(answer.body, { headers });
};

export const OPTIONS: RequestHandler = () =>
	new Response(null, {
		status: 204,
		headers: {
			...CORS,
			'access-control-allow-methods': 'GET',
			'access-control-allow-headers': 'authorization, if-none-match',
			'access-control-max-age': '86400'
		}
	});
