import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Actor } from '../db/users.js';
import { problemOf, testStore } from '../testing.js';
import { feedView, pauseAfter, pullNow, putFeed } from './feed.js';
import { getProduct } from './products.js';

let actor: Actor;
const now = Date.now();

describe('a feed', () => {
	let server: Server;
	let served = { status: 200, etag: '"1"', body: 'key,title,price\nfed,Fed,1.00\n' };
	const asked: string[] = [];

	beforeAll(async () => {
		({ actor } = await testStore());
		server = createServer((request, response) => {
			const known = String(request.headers['if-none-match'] ?? '');
			asked.push(known);
			const status = served.status === 200 && known === served.etag ? 304 : served.status;
			response
				.writeHead(status, { 'content-type': 'text/csv', etag: served.etag })
				.end(status === 200 ? served.body : '');
		});
		await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
	});
	afterAll(() => server.close());

	it('is pulled, asked only for what is new, and confirms price and stock', async () => {
		const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/catalog.csv`;
		await putFeed(actor, { url, minutes: 60 }, now);
		expect((await pullNow(actor, now)).imported).toMatchObject({ inserted: 1 });
		const before = (await getProduct(actor, 'fed')).freshness ?? '';
		const { imported, feed } = await pullNow(actor, now);
		expect([imported, asked]).toEqual([null, ['', '"1"']]);
		expect(((await getProduct(actor, 'fed')).freshness ?? '') > before).toBe(true);
		expect(feed).toMatchObject({
			failures: 0,
			lastSuccess: new Date(now).toISOString(),
			nextTry: new Date(now + 3_600_000).toISOString()
		});
	});

	it('that fails says so, keeps its last success, and is tried again later and later', async () => {
		served = { ...served, status: 503 };
		for (const minutes of [1, 2]) {
			expect(await problemOf(pullNow(actor, now))).toMatchObject({
				type: 'feed-away',
				message: 'The feed’s server answered 503.'
			});
			expect(await feedView(actor)).toMatchObject({
				lastSuccess: new Date(now).toISOString(),
				message: 'The feed’s server answered 503.',
				nextTry: new Date(now + minutes * 60_000).toISOString()
			});
		}
		expect([1, 5, 11, 12, 40].map((failures) => pauseAfter(failures, 60))).toEqual([1, 16, 1024, 1440, 1440]);
		expect(await problemOf(putFeed(actor, { url: 'ftp://x', minutes: 1 }, now))).toMatchObject({
			faults: [{ at: '/url' }, { at: '/minutes' }]
		});
	});
});
