import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { productLists } from '$lib/server/work/productLists.js';

/** What some product lists show on the page of a product. */
export const POST = api(async ({ request }, actor) => productLists(actor, await readJson(request)));
