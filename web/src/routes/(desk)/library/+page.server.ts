import { listPieces } from '$lib/server/work/pieces.js';
import { storeStates } from '$lib/server/state/storeStates.js';
import { signedIn } from '$lib/server/signedIn.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const actor = signedIn(locals);
	const now = Date.now();
	const { catalog } = await storeStates.byId(actor.storeId, now);
	return { pieces: await listPieces(actor, now), total: catalog.index.size, now };
};
