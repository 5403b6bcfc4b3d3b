import { error } from '@sveltejs/kit';
import { Problem } from '$lib/server/problem.js';
import { signedIn } from '$lib/server/signedIn.js';
import { storeStates } from '$lib/server/state/storeStates.js';
import { planData } from '$lib/server/work/planData.js';
import { getProduct } from '$lib/server/work/products.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, params }) => {
	const actor = signedIn(locals);
	const now = Date.now();
	try {
		const product = await getProduct(actor, params.key);
		const { catalog } = await storeStates.byId(actor.storeId, now);
		return {
			...(await planData(actor, now)),
			product,
			categories: product.categories.map((key) => catalog.categoryTitle(key) ?? key)
		};
	} catch (cause) {
		if (cause instanceof Problem) error(cause.status, cause.message);
		throw cause;
	}
};
