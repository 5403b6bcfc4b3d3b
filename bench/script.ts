import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import type { Result } from './measure.js';

const size = (name: string) =>
	brotliCompressSync(readFileSync(join(import.meta.dirname, '../embed/dist', `${name}.js`))).length;

/** The storefront's scripts in bytes, brotli at its default quality: on a page with tabs and messages,
 * with all that places pieces, and what films, frames and reviews need. */
export function benchScript(): Result[] {
	const sum = (names: string[]) => names.reduce((bytes, name) => bytes + size(name), 0);
	return [
		limited('script with tabs and messages, brotli', sum(['anbau', 'anbau-tabs']), 4096),
		limited(
			'script with everything loaded, brotli',
			sum(['anbau', 'anbau-tabs', 'anbau-opening', 'anbau-values', 'anbau-theme']),
			9216
		),
		limited('script of films, frames and reviews beside it, brotli', sum(['anbau-parts']), 1200)
	];
}

function limited(what: string, ours: number, limit: number): Result {
	const kept = ours <= limit;
	return { what, ours, reference: null, unit: 'bytes', ratio: null, goal: `at most ${limit} bytes`, kept };
}
