import { Problem } from './problem.js';

/** The most bytes of a JSON body. */
const JSON_LIMIT = 2 * 1024 * 1024;

/** Reads a request's JSON body of at most 2 MB; says where it stops being JSON. */
export async function readJson(request: Request): Promise<unknown> {
	const text = await readTextBody(request, JSON_LIMIT);
	let value: unknown;
	try {
		value = JSON.parse(text);
	} catch (error) {
		const reason = error instanceof Error ? error.message : String(error);
		throw new Problem('invalid', 400, 'The body is not JSON.', [{ at: '', message: `is not JSON: ${reason}` }]);
	}
	const at = unstorable(value);
	if (at === null) return value;
	const message = 'contains a NUL character or half of a character, which cannot be stored';
	throw new Problem('invalid', 422, 'The body cannot be taken as it is.', [{ at, message }]);
}

/** Characters that JSON can write and PostgreSQL cannot keep: NUL, and a surrogate without its other half. */
const UNSTORABLE = /[\0\p{Surrogate}]/u;

/** The deepest nesting that is looked into; no document that is taken here comes near. */
const MAX_NESTING = 200;

/** The JSON pointer of the first text that cannot be stored; null when all can. Throws where it is nested too deep. */
export function unstorable(value: unknown, at = '', depth = 0): string | null {
	if (depth > MAX_NESTING)
		throw new Problem('invalid', 422, 'The body is nested too deep.', [
			{ at: '', message: `has more than ${MAX_NESTING} levels` }
		]);
	if (typeof value === 'string') return UNSTORABLE.test(value) ? at : null;
	if (typeof value !== 'object' || value === null) return null;
	for (const [name, inner] of Object.entries(value)) {
		const found = UNSTORABLE.test(name) ? at : unstorable(inner, `${at}/${name}`, depth + 1);
		if (found !== null) return found;
	}
	return null;
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
