import { createReadStream } from 'node:fs';
import { Readable } from 'node:stream';
import { Problem } from '$lib/server/problem.js';
import { publicFile } from '$lib/server/work/files.js';
import type { RequestHandler } from './$types';

/** A document of the store's products; gone (410) after its last valid day. Nothing in it can run. */
export const GET: RequestHandler = async ({ params }) => {
	try {
		const found = await publicFile(params.storeKey, params.sha, Date.now());
		if (!found) return new Response('There is nothing at this address.', { status: 404 });
		const { path, file } = found;
		const headers = {
			'content-type': file.type.startsWith('text/') ? `${file.type}; charset=utf-8` : file.type,
			'content-length': String(file.size),
			'content-disposition': `inline; filename*=UTF-8''${encodeURIComponent(params.name)}`,
			'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; sandbox",
			// A document may end at any time, so that caches ask each time.
			'cache-control': 'public, no-cache',
			'x-content-type-options': 'nosniff'
		};
		return new Response(Readable.toWeb(createReadStream(path)) as ReadableStream, { headers });
	} catch (error) {
		if (error instanceof Problem) return new Response(error.message, { status: error.status });
		throw error;
	}
};
