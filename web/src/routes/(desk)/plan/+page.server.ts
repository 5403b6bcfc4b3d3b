import { signedIn } from '$lib/server/signedIn.js';
import { storeStates } from '$lib/server/state/storeStates.js';
import { draftedTheme } from '$lib/server/work/draftedTheme.js';
import { listHooks } from '$lib/server/work/hooks.js';
import { listPieces } from '$lib/server/work/pieces.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const actor = signedIn(locals);
	const now = Date.now();
	const { catalog, icons } = await storeStates.byId(actor.storeId, now);
	const pieces = await listPieces(actor, now);
	const { searchParams } = url;
	return {
		...(await draftedTheme(actor)),
		pieces: pieces.filter(({ state }) => state.publication !== 'removed with the next release'),
		seen: (await listHooks(actor)).map(({ id, sightings }) => ({ id, sightings })),
		attributes: [...catalog.definitions],
		categoryValues: Object.fromEntries(catalog.categories.map(({ key }) => [key, catalog.valuesOfCategory(key)])),
		icons: [...icons].map(([slug, svg]) => ({ slug, svg })),
		now,
		kind: searchParams.get('kind'),
		key: searchParams.get('id') ?? searchParams.get('product'),
		hook: searchParams.get('hook')
	};
};
