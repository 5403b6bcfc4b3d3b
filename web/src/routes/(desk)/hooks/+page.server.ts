import { signedIn } from '$lib/server/signedIn.js';
import { listHooks } from '$lib/server/work/hooks.js';
import { listHouseParts } from '$lib/server/work/houseParts.js';
import { listPieces } from '$lib/server/work/pieces.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const actor = signedIn(locals);
	const used: Record<string, number> = {};
	for (const { placements } of await listPieces(actor, Date.now()))
		for (const { hook } of placements) used[hook] = (used[hook] ?? 0) + 1;
	const { searchParams } = url;
	return {
		hooks: await listHooks(actor),
		houseParts: await listHouseParts(actor),
		used,
		chosen: searchParams.get('hook'),
		picked: searchParams.get('selector'),
		kind: searchParams.get('kind')
	};
};
