import { api } from '$lib/server/api.js';
import { storefrontLink } from '$lib/server/work/storefrontLink.js';

/** A signed link to the shop that shows its hooks on the page, good for an hour. */
export const POST = api(({ url }, actor) => storefrontLink(actor, url.searchParams.get('product')));
