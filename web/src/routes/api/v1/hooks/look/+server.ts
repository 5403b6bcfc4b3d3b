import { api } from '$lib/server/api.js';
import { lookForHooks } from '$lib/server/work/sightings.js';

/** Looks at sample pages of the shop for every hook. */
export const POST = api(({ request }, actor) => lookForHooks(actor, request.signal));
