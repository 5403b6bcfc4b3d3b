import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { ranged } from './ranged.js';

const folder = mkdtempSync(join(tmpdir(), 'anbau-range-'));
const SIZE = 10_000;
const bytes = Buffer.from(Array.from({ length: SIZE }, (_, i) => i % 251));
const path = join(folder, 'film');
writeFileSync(path, bytes);
afterAll(() => rmSync(folder, { recursive: true }));

async function ask(headers: Record<string, string>) {
	const request = new Request('http://shop.example/film', { headers });
	const response = ranged(request, { path, size: SIZE, etag: '"abc"', headers: { 'content-type': 'video/mp4' } });
	return { response, body: Buffer.from(await response.arrayBuffer()) };
}
const part = (from: number, to: number) => bytes.subarray(from, to + 1);

describe('a range of a file', () => {
	// RFC 9110, 14.1.2: the examples of byte ranges of a representation of length 10000.
	it('is what the examples of RFC 9110 say', async () => {
		const examples: [range: string, from: number, to: number][] = [
			['bytes=0-499', 0, 499],
			['bytes=500-999', 500, 999],
			['bytes=-500', 9500, 9999],
			['bytes=9500-', 9500, 9999],
			['bytes=0-0', 0, 0],
			['bytes=9999-20000', 9999, 9999]
		];
		for (const [range, from, to] of examples) {
			const { response, body } = await ask({ range });
			expect([response.status, response.headers.get('content-range')], range).toEqual([
				206,
				`bytes ${from}-${to}/${SIZE}`
			]);
			expect(response.headers.get('content-length')).toBe(String(to - from + 1));
			expect(body.equals(part(from, to)), range).toBe(true);
		}
		// Several that touch are one; that the whole is sent for others is allowed (14.2).
		expect((await ask({ range: 'bytes=500-600,601-999' })).response.headers.get('content-range')).toBe(
			'bytes 500-999/10000'
		);
		expect((await ask({ range: 'bytes=0-0,-1' })).response.status).toBe(200);
	});

	it('that cannot be satisfied says the length; one that cannot be read is passed over (RFC 9110, 15.5.17, 14.2)', async () => {
		const { response } = await ask({ range: 'bytes=10000-' });
		expect([response.status, response.headers.get('content-range')]).toEqual([416, 'bytes */10000']);
		for (const range of ['bytes=abc', 'lines=1-2', 'bytes']) {
			const whole = await ask({ range });
			expect(whole.response.status, range).toBe(200);
			expect(whole.body.equals(bytes)).toBe(true);
		}
	});

	it('holds only for the file that the browser knows, and what it has is not sent again (13.1)', async () => {
		expect((await ask({ range: 'bytes=0-9', 'if-range': '"abc"' })).response.status).toBe(206);
		expect((await ask({ range: 'bytes=0-9', 'if-range': '"old"' })).response.status).toBe(200);
		const { response, body } = await ask({ 'if-none-match': '"x", "abc"' });
		expect([response.status, body.length, response.headers.get('etag')]).toEqual([304, 0, '"abc"']);
		expect((await ask({})).response.headers.get('accept-ranges')).toBe('bytes');
	});
});
