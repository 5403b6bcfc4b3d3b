import { signedIn } from '$lib/server/signedIn.js';
import { listHouseTabs } from '$lib/server/work/houseTabs.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => ({
	houseTabs: await listHouseTabs(signedIn(locals)),
	origin: url.origin
});
