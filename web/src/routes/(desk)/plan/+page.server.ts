import { signedIn } from '$lib/server/signedIn.js';
import { listHooks } from '$lib/server/work/hooks.js';
import { planData } from '$lib/server/work/planData.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const actor = signedIn(locals);
	const { searchParams } = url;
	return {
		...(await planData(actor, Date.now())),
		seen: (await listHooks(actor)).map(({ id, sightings }) => ({ id, sightings })),
		kind: searchParams.get('kind'),
		key: searchParams.get('id') ?? searchParams.get('product'),
		hook: searchParams.get('hook'),
		make: searchParams.has('make'),
		groups: searchParams.getAll('group'),
		campaign: searchParams.get('campaign'),
		device: searchParams.get('device'),
		at: searchParams.get('at')
	};
};
