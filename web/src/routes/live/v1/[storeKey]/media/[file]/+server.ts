import { redirect } from '@sveltejs/kit';
import { ranged } from '$lib/server/ranged.js';
import { originalOf, publicMedia } from '$lib/server/work/publicMedia.js';
import type { RequestHandler } from './$types';

/** Opened as a page, a file can load and run nothing, and has no origin. */
const INERT = "sandbox; default-src 'none'; style-src 'unsafe-inline'; media-src 'self'; img-src 'self'";

/** An upload; the address is of its content, so that caches may keep it for ever. */
export const GET: RequestHandler = async ({ params, request }) => {
	const found = await publicMedia(params.file);
	if (!found) {
		const original = await originalOf(params.file);
		if (original) redirect(307, original);
		return new Response('There is nothing at this address.', { status: 404 });
	}
	return ranged(request, {
		...found,
		etag: `"${params.file}"`,
		headers: {
			'content-type': found.type === 'text/vtt' ? 'text/vtt; charset=utf-8' : found.type,
			'content-security-policy': INERT,
			'cache-control': 'public, max-age=31536000, immutable',
			'access-control-allow-origin': '*',
			'cross-origin-resource-policy': 'cross-origin',
			'x-content-type-options': 'nosniff'
		}
	});
};
