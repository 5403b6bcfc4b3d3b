import { signedIn } from '$lib/server/signedIn.js';
import { storeStates } from '$lib/server/state/storeStates.js';
import { attributesView } from '$lib/server/work/attributes.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, depends }) => {
	depends('anbau:attributes');
	const actor = signedIn(locals);
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	return { view: await attributesView(actor), categories: [...catalog.categories] };
};
