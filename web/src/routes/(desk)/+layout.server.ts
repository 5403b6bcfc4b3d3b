import { error, redirect } from '@sveltejs/kit';
import { isUnreachable } from '$lib/server/unreachable.js';
import { waiting } from '$lib/server/work/releases.js';
import { storeView } from '$lib/server/work/storeView.js';
import type { LayoutServerLoad } from './$types';

/** Every screen of the desk needs a signed-in person, the store, and what waits to be published. */
export const load: LayoutServerLoad = async ({ locals, url }) => {
	const { actor } = locals;
	if (!actor) redirect(307, `/sign-in?to=${encodeURIComponent(url.pathname)}`);
	try {
		const { changes, pages } = await waiting(actor, null, Date.now());
		return { store: await storeView(actor), waiting: { changes, pages } };
	} catch (cause) {
		if (isUnreachable(cause))
			error(
				503,
				'Anbau cannot reach its database, so nothing can be read or saved here. The shop goes on from memory.'
			);
		throw cause;
	}
};
