import { api, parameter } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { getProduct, patchProduct } from '$lib/server/work/products.js';

export const GET = api((event, actor) => getProduct(actor, parameter(event, 'key')));

export const PATCH = api(async (event, actor) =>
	patchProduct(actor, parameter(event, 'key'), await readJson(event.request))
);
