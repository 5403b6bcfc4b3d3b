import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { listExceptions, putException } from '$lib/server/work/exceptions.js';

/** All exceptions, or those of one `product` or `piece`. */
export const GET = api(({ url }, actor) =>
	listExceptions(actor, { product: url.searchParams.get('product'), piece: url.searchParams.get('piece') })
);

export const POST = api(async ({ request }, actor) => putException(actor, await readJson(request)));
