import { Problem } from './problem.js';

/** The most bytes of a JSON body. */
const JSON_LIMIT = 2 * 1024 * 1024;

/** Reads a request's JSON body of at most 2 MB; says where it stops being JSON. */
export async function readJson(request: Request): Promise<unknown> {
	const text = await readTextBody(request, JSON_LIMIT);
	try {
		return JSON.parse(text) as unknown;
	} catch (error) {
		const reason = error instanceof Error ? error.message : String(error);
		throw new Problem('invalid', 400, 'The body is not JSON.', [{ at: '', message: `is not JSON: ${reason}` }]);
	}
}

/** Reads a body as UTF-8 text, and stops as soon as it is longer than the limit in bytes. */
export async function readTextBody(request: Request, limit: number): Promise<string> {
	const tooLarge = () =>
		new Problem(
			'too-large',
			413,
			`The body is larger than ${Math.round(limit / 1024 / 1024)} MB, the most that is taken here.`
		);
	if (Number(request.headers.get('content-length') ?? 0) > limit) throw tooLarge();
	if (!request.body) return '';
	const chunks: Uint8Array[] = [];
	let size = 0;
	for await (const chunk of request.body as unknown as AsyncIterable<Uint8Array>) {
		size += chunk.byteLength;
		if (size > limit) throw tooLarge();
		chunks.push(chunk);
	}
	return new TextDecoder().decode(Buffer.concat(chunks));
}
