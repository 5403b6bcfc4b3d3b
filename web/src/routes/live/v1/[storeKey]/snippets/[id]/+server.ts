import { publicSnippet } from '$lib/server/work/snippets.js';
import type { RequestHandler } from './$types';

/** A snippet of others as a page of its own, which runs without any origin. */
export const GET: RequestHandler = async ({ params }) => {
	const code = await publicSnippet(params.storeKey, params.id, Date.now());
	if (code === undefined) return new Response('There is nothing at this address.', { status: 404 });
	const page = `<!doctype html><html><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><style>body{margin:0}</style></head><body>${code}</body></html>`;
	const headers = {
		'content-type': 'text/html; charset=utf-8',
		'content-security-policy': 'sandbox allow-scripts',
		'cache-control': 'public, max-age=300',
		'referrer-policy': 'no-referrer',
		'x-content-type-options': 'nosniff'
	};
	return new Response(page, { headers });
};
