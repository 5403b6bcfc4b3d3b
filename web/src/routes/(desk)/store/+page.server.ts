import { signedIn } from '$lib/server/signedIn.js';
import { feedView } from '$lib/server/work/feed.js';
import { listIcons } from '$lib/server/work/icons.js';
import { listHouseTabs } from '$lib/server/work/houseTabs.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const actor = signedIn(locals);
	return {
		icons: await listIcons(actor),
		houseTabs: await listHouseTabs(actor),
		feed: await feedView(actor),
		origin: url.origin
	};
};
