import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { pageSnapshot } from './snapshot.js';

const PAGE = `<!doctype html><html><head><title>Shop</title><meta http-equiv="refresh" content="0;url=/x"><script src="/shop.js"></script>
<script type="application/ld+json">{"@type":"Product"}</script></head><body onload="x()"><h1 onclick="y()">Spade</h1><template><script>z()</script></template><div data-anbau-hook="above-buy"></div></body></html>`;

let server: Server;
let url: string;
beforeAll(async () => {
	server = createServer((request, response) => {
		const path = request.url ?? '';
		if (path === '/away') return response.writeHead(302, { location: 'http://127.0.0.1:1/' }).end();
		if (path === '/gone') return response.writeHead(404).end();
		if (path === '/json') return response.writeHead(200, { 'content-type': 'application/json' }).end('{}');
		if (path === '/large')
			return response.writeHead(200, { 'content-type': 'text/html' }).end('x'.repeat(6 * 1024 * 1024));
		response.writeHead(200, { 'content-type': 'text/html; charset=utf-8' }).end(PAGE);
	});
	await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
	url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => server.close());

const own = { script: 'http://anbau.example/p.js', style: 'http://anbau.example/p.css' };

describe('a snapshot of a page', () => {
	it('keeps the page without what runs, and brings the preview’s own', async () => {
		const html = await pageSnapshot(`${url}/spade`, url, own);
		expect(html).toContain('<h1>Spade</h1>');
		expect(html).toContain('data-anbau-hook="above-buy"');
		expect(html).toContain('{"@type":"Product"}');
		expect(html).toContain(`<base href="${url}/spade">`);
		expect(html).not.toMatch(/onload|onclick|shop\.js|refresh|z\(\)/);
		expect(html.match(/<script src=/g)).toHaveLength(1);
		expect(html).toContain('<script src="http://anbau.example/p.js"');
	});

	it.each([
		['/away', 'sends on to'],
		['/gone', 'answers 404'],
		['/json', 'no HTML page'],
		['/large', 'larger than 5 MB']
	])('of %s says why there is none', async (path, message) => {
		await expect(pageSnapshot(url + path, url, own)).rejects.toThrow(message);
	});

	it('is taken from the shop’s own address only', async () => {
		await expect(pageSnapshot('http://127.0.0.1:5432/', url, own)).rejects.toThrow('not on the shop’s own address');
		await expect(pageSnapshot(`http://127.0.0.1:1/`, 'http://127.0.0.1:1', own)).rejects.toThrow('cannot be reached');
	});
});
