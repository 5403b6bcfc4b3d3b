import { api } from '$lib/server/api.js';
import { Problem } from '$lib/server/problem.js';
import { listMedia, uploadMedia } from '$lib/server/work/media.js';

export const GET = api((_, actor) => listMedia(actor));

/** Takes a picture or film as the request's body; `?name=` is its file name. */
export const POST = api(async ({ request, url }, actor) => {
	if (!request.body) throw new Problem('invalid', 422, 'The file is empty.');
	const name = url.searchParams.get('name') ?? '';
	return uploadMedia(actor, name, request.body as unknown as AsyncIterable<Uint8Array>);
});
