import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import type { Result } from './measure.js';

const LIMIT = 4096;

/** The storefront's script as a page with tabs and messages loads it, brotli at its default quality. */
export function benchScript(): Result[] {
	const size = (name: string) =>
		brotliCompressSync(readFileSync(join(import.meta.dirname, '../embed/dist', name))).length;
	const ours = size('anbau.js') + size('anbau-tabs.js');
	return [
		{
			what: 'script with tabs and messages, brotli',
			ours,
			reference: null,
			unit: 'bytes',
			ratio: null,
			goal: `at most ${LIMIT} bytes`,
			kept: ours <= LIMIT
		}
	];
}
