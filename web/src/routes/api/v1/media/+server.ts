import { api } from '$lib/server/api.js';
import { fileOfForm, isMultipart } from '$lib/server/multipart.js';
import { Problem } from '$lib/server/problem.js';
import { listMedia, uploadMedia } from '$lib/server/work/media.js';

export const GET = api((_, actor) => listMedia(actor));

/** Takes a file for the shelf: a form's first file, or the request's body with its name in `?name=`. */
export const POST = api(async ({ request, url }, actor) => {
	if (isMultipart(request)) {
		const { name, body } = await fileOfForm(request);
		return uploadMedia(actor, url.searchParams.get('name') ?? name, body);
	}
	if (!request.body) throw new Problem('invalid', 422, 'The file is empty.');
	const name = url.searchParams.get('name') ?? '';
	return uploadMedia(actor, name, request.body as unknown as AsyncIterable<Uint8Array>);
});
