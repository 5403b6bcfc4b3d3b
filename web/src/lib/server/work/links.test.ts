import { createServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Actor } from '../db/users.js';
import { problemOf, testStore } from '../testing.js';
import { describeLink } from './links.js';
import { listMedia } from './media.js';
import { patchStore } from './storeSettings.js';

let actor: Actor;
let host: Server;
let base = '';
/** What the provider does when it is asked for an address that ends so. */
const ANSWERS: Record<string, (response: ServerResponse) => void> = {
	good: (response) =>
		json(response, { type: 'video', html: frame(), title: 'A film', thumbnail_url: `${base}/still.svg` }),
	html: (response) => response.writeHead(200, { 'content-type': 'text/html' }).end('<!doctype html>'),
	broken: (response) => response.writeHead(200, { 'content-type': 'application/json' }).end('{"type":'),
	large: (response) => json(response, { type: 'link', title: 'x'.repeat(5 * 1024 * 1024) }),
	never: () => undefined,
	private: (response) => response.writeHead(302, { location: 'http://169.254.169.254/latest/meta-data' }).end(),
	named: (response) => response.writeHead(302, { location: 'http://localhost:4999/inside' }).end(),
	file: (response) => response.writeHead(302, { location: 'file:///etc/passwd' }).end(),
	round: (response) => response.writeHead(302, { location: `${base}/oembed?url=${base}/watch/round` }).end(),
	gone: (response) => response.writeHead(404).end(),
	keyed: (response) => response.writeHead(401).end()
};
const frame = () =>
	`<iframe src="${base}/frame/1" width="640" height="360"></iframe><script src="${base}/t.js"></script>`;

function json(response: ServerResponse, document: object): void {
	response.writeHead(200, { 'content-type': 'application/json' });
	response.end(JSON.stringify({ version: '1.0', ...document }));
}

beforeAll(async () => {
	process.env.ANBAU_DATA_FOLDER = mkdtempSync(join(tmpdir(), 'anbau-media-'));
	host = createServer(({ url = '' }, response) => {
		if (url === '/still.svg')
			return void response.end('<svg viewBox="0 0 4 3" width="4" height="3"><rect width="4" height="3"/></svg>');
		const name = new URL(url, base).searchParams.get('url')?.split('/').at(-1) ?? '';
		(ANSWERS[name] ?? (() => response.writeHead(500).end()))(response);
	});
	await new Promise<void>((resolve) => host.listen(0, '127.0.0.1', resolve));
	base = `http://127.0.0.1:${(host.address() as AddressInfo).port}`;
	actor = (await testStore()).actor;
	const own = { name: 'Films', schemes: [`${base}/watch/*`], endpoint: `${base}/oembed` };
	const members = { name: 'Members', schemes: [`${base}/members/*`], endpoint: `${base}/oembed`, keyName: 'key' };
	await patchStore(actor, { settings: { providers: [own, members] } });
});
afterAll(() => void host.close());

const said = async (url: string) => (await problemOf(describeLink(actor, { url })))?.faults[0]?.message ?? '';

describe('a link', () => {
	it('is described by its provider, with its still picture on the own shelf', async () => {
		const found = await describeLink(actor, { url: `${base}/watch/good` });
		expect(found).toMatchObject({ type: 'embed', address: `${base}/frame/1`, title: 'A film', ratio: '640:360' });
		expect(found.dropped).toEqual([`a script of ${base.slice('http://'.length)}`]);
		expect(await listMedia(actor)).toMatchObject([{ address: found.still, facts: { width: 4 } }]);
	});

	it('is never followed into a private network, and what answers wrongly is told in words', async () => {
		expect(await said(`${base}/watch/private`)).toBe('Films leads into a private network');
		expect(await said(`${base}/watch/named`)).toBe('Films leads into a private network');
		expect(await said(`${base}/watch/file`)).toBe('Films sends on to a file: address');
		expect(await said(`${base}/watch/round`)).toBe('Films sends on again and again');
		expect(await said(`${base}/watch/html`)).toBe('Films answers text/html, not JSON');
		expect(await said(`${base}/watch/broken`)).toBe('Films answers something that is not JSON');
		expect(await said(`${base}/watch/large`)).toBe('Films answers more than 256 kB');
		expect(await said(`${base}/watch/gone`)).toBe('Films has nothing at this address');
		expect(await said(`${base}/watch/never`)).toBe('Films does not answer within 5 seconds');
	});

	it('that no provider describes, or whose provider wants a key, says what to do', async () => {
		expect(await said('https://elsewhere.example/1')).toContain('no provider in the store’s settings');
		expect(await said(`${base}/members/good`)).toContain('Members wants a key; put it under Store');
		expect(await said('ftp://x')).toContain('must be an address');
	});
});
