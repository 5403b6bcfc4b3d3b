import { open, type FileHandle } from 'node:fs/promises';
import parseRange from 'range-parser';

/** A header that says byte ranges (RFC 9110, 14.1.1 and 14.1.2). */
const BYTES = /^bytes=\s*(\d+-\d*|-\d+)(\s*,\s*(\d+-\d*|-\d+))*\s*$/i;

/** How much of a file is read at a time, in bytes: enough that little is left to do for each read. */
const READ = 1024 * 1024;

/** A file that is served: its bytes never change under this ETag. */
export interface Served {
	path: string;
	size: number;
	/** A strong ETag, with its quotes. */
	etag: string;
	headers: Record<string, string>;
}

/**
 * Answers a request for a file, the whole or a range of it (RFC 9110, sections 14.2, 13.1.5 and 15.3.7). Several ranges
 * that do not touch are answered with the whole, as the RFC lets a server do; so is a header that cannot be read.
 */
export function ranged(request: Request, { path, size, etag, headers }: Served): Response {
	const common = { ...headers, etag, 'accept-ranges': 'bytes' };
	if (request.headers.get('if-none-match')?.split(/,\s*/).includes(etag))
		return new Response(null, { status: 304, headers: common });
	const wanted = request.headers.get('range');
	const condition = request.headers.get('if-range');
	const isMeant = wanted !== null && BYTES.test(wanted) && (condition === null || condition === etag);
	const ranges = isMeant ? parseRange(size, wanted, { combine: true }) : -2;
	if (ranges === -1)
		return new Response(null, { status: 416, headers: { ...common, 'content-range': `bytes */${size}` } });
	const [range, ...more] = ranges === -2 || ranges.type !== 'bytes' ? [] : ranges;
	const { start, end } = range && more.length === 0 ? range : { start: 0, end: size - 1 };
	const isPart = range !== undefined && more.length === 0;
	const body = size === 0 ? null : bytesOf(path, start, end);
	const length = { 'content-length': String(end - start + 1) };
	return isPart
		? new Response(body, {
				status: 206,
				headers: { ...common, ...length, 'content-range': `bytes ${start}-${end}/${size}` }
			})
		: new Response(body, { headers: { ...common, ...length } });
}

/** The bytes of a file from one place to another, both counted. One part is read while the one before it is sent. */
function bytesOf(path: string, start: number, end: number): ReadableStream<Uint8Array> {
	let file: FileHandle | undefined;
	let at = start;
	// Whoever seeks in a film gives up one answer after the other, at any moment.
	let isGivenUp = false;
	return new ReadableStream<Uint8Array>({
		async pull(controller) {
			file ??= await open(path);
			if (isGivenUp) return file.close();
			const part = Buffer.allocUnsafeSlow(Math.min(READ, end - at + 1));
			const { bytesRead } = await file.read(part, 0, part.length, at).catch(async (error: unknown) => {
				await file?.close();
				throw error;
			});
			if (isGivenUp) return;
			at += bytesRead;
			if (bytesRead > 0) controller.enqueue(part.subarray(0, bytesRead));
			if (bytesRead > 0 && at <= end) return;
			controller.close();
			await file.close();
		},
		cancel() {
			isGivenUp = true;
			return file?.close();
		}
	});
}
