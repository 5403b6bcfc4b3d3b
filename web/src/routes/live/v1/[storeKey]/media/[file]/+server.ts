import { ranged } from '$lib/server/ranged.js';
import { publicMedia } from '$lib/server/work/media.js';
import type { RequestHandler } from './$types';

/** A picture or film; the address is of its content, so that caches may keep it for ever. */
export const GET: RequestHandler = async ({ params, request }) => {
	const found = await publicMedia(params.file);
	if (!found) return new Response('There is nothing at this address.', { status: 404 });
	return ranged(request, {
		...found,
		etag: `"${params.file.slice(0, 32)}"`,
		headers: {
			'content-type': found.type,
			'cache-control': 'public, max-age=31536000, immutable',
			'access-control-allow-origin': '*',
			'cross-origin-resource-policy': 'cross-origin',
			'x-content-type-options': 'nosniff'
		}
	});
};
