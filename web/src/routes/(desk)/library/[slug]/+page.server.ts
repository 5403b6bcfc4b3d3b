import { error } from '@sveltejs/kit';
import { Problem } from '$lib/server/problem.js';
import { signedIn } from '$lib/server/signedIn.js';
import { storeStates } from '$lib/server/state/storeStates.js';
import { draftedTheme } from '$lib/server/work/draftedTheme.js';
import { getPiece, listPieces } from '$lib/server/work/pieces.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params, url }) => {
	const actor = signedIn(locals);
	const now = Date.now();
	try {
		const piece = await getPiece(actor, params.slug, now);
		const { catalog, icons } = await storeStates.byId(actor.storeId, now);
		const others = (await listPieces(actor, now)).filter(
			(one) => one.slug !== params.slug && one.state.publication !== 'removed with the next release'
		);
		return {
			piece,
			others,
			...(await draftedTheme(actor)),
			attributes: [...catalog.definitions],
			categoryValues: Object.fromEntries(catalog.categories.map(({ key }) => [key, catalog.valuesOfCategory(key)])),
			icons: [...icons].map(([slug, svg]) => ({ slug, svg })),
			now,
			product: url.searchParams.get('product')
		};
	} catch (cause) {
		if (cause instanceof Problem) error(cause.status, cause.message);
		throw cause;
	}
};
