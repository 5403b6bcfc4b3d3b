import { Readable } from 'node:stream';
import type { ReadableStream } from 'node:stream/web';
import Busboy, { type BusboyHeaders } from '@fastify/busboy';
import { Problem } from './problem.js';

/** A file as a form sends it (RFC 7578), streamed. */
export interface FormFile {
	name: string;
	body: AsyncIterable<Uint8Array>;
}

/** Whether a request is a form with parts. */
export function isMultipart(request: Request): boolean {
	return /^multipart\/form-data\b/i.test(request.headers.get('content-type') ?? '');
}

/** The first file of a form; what comes behind it is not read. A form without a file is a problem. */
export function fileOfForm(request: Request): Promise<FormFile> {
	const none = new Problem('invalid', 422, 'The form has no file.', [{ at: 'file', message: 'is missing' }]);
	const { body } = request;
	if (!body) return Promise.reject(none);
	return new Promise((resolve, reject) => {
		const broken = (error: unknown) =>
			reject(
				new Problem('invalid', 400, `The form cannot be read: ${error instanceof Error ? error.message : 'broken'}.`)
			);
		const form = new Busboy({ headers: Object.fromEntries(request.headers) as BusboyHeaders, limits: { files: 1 } });
		form.on('file', (_, file, name) => resolve({ name, body: file as AsyncIterable<Uint8Array> }));
		form.on('finish', () => reject(none));
		form.on('error', broken);
		Readable.fromWeb(body as ReadableStream)
			.on('error', broken)
			.pipe(form);
	});
}
