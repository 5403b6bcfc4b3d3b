import { api } from '$lib/server/api.js';
import { Problem } from '$lib/server/problem.js';
import { uploadFile } from '$lib/server/work/files.js';

/** Takes a document as the request's body; `?name=` is its file name. Answers the address that a value names. */
export const POST = api(async ({ request, url }, actor) => {
	const name = url.searchParams.get('name') ?? '';
	if (!request.body) throw new Problem('invalid', 422, 'The file is empty.');
	return uploadFile(actor, name, request.body as unknown as AsyncIterable<Uint8Array>);
});
