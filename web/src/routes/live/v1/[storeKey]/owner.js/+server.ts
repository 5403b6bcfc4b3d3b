import ownerScript from '@anbau/embed/anbau-owner.js?raw';
import { isOwnersLink } from '$lib/server/work/storefrontLink.js';
import type { RequestHandler } from './$types';

/** The script that draws the hooks into the shop, for who came by the owner's signed link and nobody else. */
export const GET: RequestHandler = async ({ params, url }) => {
	if (!(await isOwnersLink(params.storeKey, url.searchParams.get('token'), Date.now())))
		return new Response('This link is not valid any more.', { status: 403, headers: { 'cache-control': 'no-store' } });
	return new Response(ownerScript, {
		headers: {
			'content-type': 'text/javascript; charset=utf-8',
			'cache-control': 'private, no-store',
			'access-control-allow-origin': '*',
			'cross-origin-resource-policy': 'cross-origin',
			'x-content-type-options': 'nosniff'
		}
	});
};
