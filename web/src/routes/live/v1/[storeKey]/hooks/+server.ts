import { hooksForOwner } from '$lib/server/work/storefrontLink.js';
import type { RequestHandler } from './$types';

const HEADERS = { 'access-control-allow-origin': '*', 'cache-control': 'private, no-store' };

/** The hooks of a kind of page, for who came by the owner's signed link. */
export const GET: RequestHandler = async ({ params, url }) => {
	const { searchParams } = url;
	const told = await hooksForOwner(params.storeKey, searchParams.get('token'), searchParams.get('kind'), Date.now());
	if (!told) return Response.json({ title: 'This link is not valid any more.' }, { status: 403, headers: HEADERS });
	return Response.json(told, { headers: HEADERS });
};
