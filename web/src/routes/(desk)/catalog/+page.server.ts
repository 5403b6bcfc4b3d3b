import { error } from '@sveltejs/kit';
import { Problem } from '$lib/server/problem.js';
import { signedIn } from '$lib/server/signedIn.js';
import { hangingOn } from '$lib/server/work/hanging.js';
import { catalogFilters, searchProducts } from '$lib/server/work/products.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const actor = signedIn(locals);
	const now = Date.now();
	try {
		const { total, products } = await searchProducts(actor, url.searchParams, now);
		const hanging = await hangingOn(
			actor,
			products.map((product) => product.key),
			now
		);
		return {
			total,
			products: products.map((product) => ({ ...product, hanging: hanging.get(product.key) ?? [] })),
			filters: await catalogFilters(actor)
		};
	} catch (cause) {
		if (cause instanceof Problem) error(cause.status, cause.message);
		throw cause;
	}
};
