import type { RequestHandler } from './$types';
import { bearerOf } from '$lib/server/bearer.js';
import { Problem } from '$lib/server/problem.js';
import { MAX_WOVEN, weavePage } from '$lib/server/work/weavePage.js';

/** Puts the pieces of a page into its HTML, for shops that render on their server. */
export const POST: RequestHandler = async ({ params, url, request }) => {
	if (!request.headers.get('content-type')?.includes('text/html'))
		return new Problem('unsupported', 415, 'Send the page as text/html.').toResponse();
	if (Number(request.headers.get('content-length') ?? 0) > MAX_WOVEN)
		return new Problem('too-large', 413, 'The page is larger than 5 MB.').toResponse();
	const html = await request.text();
	if (html.length > MAX_WOVEN) return new Problem('too-large', 413, 'The page is larger than 5 MB.').toResponse();
	const answer = await weavePage(params.storeKey, url.searchParams, bearerOf(request), html, Date.now());
	if (!answer) return new Problem('not-found', 404, 'There is no such store.').toResponse();
	return new Response(answer.html, {
		headers: { 'content-type': 'text/html; charset=utf-8', 'cache-control': answer.cacheControl, vary: 'authorization' }
	});
};
