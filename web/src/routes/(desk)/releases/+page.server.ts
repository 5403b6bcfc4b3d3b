import { signedIn } from '$lib/server/signedIn.js';
import { pastReleases, waiting } from '$lib/server/work/releases.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const actor = signedIn(locals);
	return { next: await waiting(actor, null, Date.now()), releases: await pastReleases(actor) };
};
