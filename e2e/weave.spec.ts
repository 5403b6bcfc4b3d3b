import { once } from 'node:events';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import type { Page } from '@playwright/test';
import { expect, running, test } from './running.js';

/** What stands in the page's body, without what differs from one load to the next: numbers of tabs, what is empty. */
function bodyOf(page: Page): Promise<string> {
	return page.evaluate(() => {
		const body = document.body.cloneNode(true) as HTMLElement;
		for (const script of body.querySelectorAll('script')) script.remove();
		for (const element of body.querySelectorAll('[class=""]')) element.removeAttribute('class');
		for (const element of body.querySelectorAll('[style=""]')) element.removeAttribute('style');
		// It counts down from one load to the next.
		for (const time of body.querySelectorAll('[data-anbau-until]')) time.textContent = '';
		// What a visitor looked at lately is the visitor's browser's own, and the one thing that is left out.
		for (const list of body.querySelectorAll('[data-anbau-recent]')) list.closest('.anbau-slot')?.remove();
		const sorted = (element: Element) => {
			const attributes = [...element.attributes].sort((a, b) => (a.name < b.name ? -1 : 1));
			// The style stays as it is: a policy may forbid that a text is made one.
			const others = attributes.filter(({ name }) => name !== 'style');
			for (const { name } of others) element.removeAttribute(name);
			for (const { name, value } of others) element.setAttribute(name, value);
		};
		for (const element of body.querySelectorAll('*')) sorted(element);
		return body.innerHTML
			.replace(/anbau-tab-\d+-/g, 'anbau-tab-n-')
			.replace(/\s+/g, ' ')
			.replace(/> </g, '><')
			.trim();
	});
}

/** Waits until nothing of the page has changed for a while. */
async function comeToRest(page: Page): Promise<void> {
	await page.evaluate(
		() =>
			new Promise<void>((resolve) => {
				let timer = setTimeout(resolve, 300);
				new MutationObserver(() => {
					clearTimeout(timer);
					timer = setTimeout(resolve, 300);
				}).observe(document.body, { subtree: true, childList: true, attributes: true });
			})
	);
}

/** Where two pages first differ, with a little of what stands round it. */
function firstDifference(expected: string, found: string): [string, string] | null {
	if (expected === found) return null;
	let at = 0;
	while (expected[at] === found[at]) at++;
	return [expected.slice(at - 120, at + 160), found.slice(at - 120, at + 160)];
}

/** A shop that renders on its server: what the demo shop answers, with the pieces woven in. */
async function wovenShop(): Promise<{ url: string; stop: () => void }> {
	const { url, shopUrl, storeKey } = running();
	const answer = async (path: string): Promise<Response> => {
		const page = await fetch(shopUrl + path);
		const html = await page.text();
		const [, kind = '', id = ''] = /data-page="([^"]*)"\s+data-id="([^"]*)"/.exec(html) ?? [];
		if (kind === '') return new Response(html, { headers: page.headers });
		const query = new URLSearchParams({ kind, id });
		const woven = await fetch(`${url}/live/v1/${storeKey}/weave?${query.toString()}`, {
			method: 'POST',
			headers: { 'content-type': 'text/html' },
			body: html
		});
		if (!woven.ok) throw new Error(`weave answered ${woven.status}`);
		return new Response(await woven.text(), { headers: page.headers });
	};
	const server = createServer((request, response) => {
		answer(request.url ?? '/').then(
			async (found) => {
				const type = found.headers.get('content-type') ?? 'text/html';
				const policy = found.headers.get('content-security-policy') ?? '';
				response.writeHead(200, { 'content-type': type, 'content-security-policy': policy });
				response.end(await found.text());
			},
			(error: unknown) => response.writeHead(500).end(String(error))
		);
	});
	server.listen(0, '127.0.0.1');
	await once(server, 'listening');
	const { port } = server.address() as AddressInfo;
	return { url: `http://127.0.0.1:${port}`, stop: () => server.close() };
}

test('a woven page is the page that the script makes, in both themes and on every kind of page', async ({
	browser,
	call
}) => {
	test.setTimeout(240_000);
	const { shopUrl } = running();
	const { products } = (await (await call('GET', '/products?limit=100')).json()) as { products: { key: string }[] };
	const chosen = products.filter((_, i) => i % 10 === 0).map(({ key }) => key);
	const keys = new Set([...chosen, 'lindow-greenhouse-6-8', 'carrot-amber-row', 'border-spade-ash-handle']);
	const paths = [
		...[...keys].map((key) => `/products/${key}`),
		'/category/seeds',
		'/articles/sowing-under-glass',
		'/',
		'/pages/delivery'
	];
	const woven = await wovenShop();
	const context = await browser.newContext();
	const page = await context.newPage();
	const errors: string[] = [];
	page.on('pageerror', (error) => errors.push(error.message));
	for (const theme of ['', '/meadow']) {
		for (const path of paths) {
			const bodies: string[] = [];
			for (const origin of [shopUrl, woven.url]) {
				await page.goto(origin + theme + path);
				await page.waitForLoadState('networkidle');
				await comeToRest(page);
				bodies.push(await bodyOf(page));
			}
			const [byScript = '', byBoth = ''] = bodies;
			expect(firstDifference(byScript, byBoth), theme + path).toBeNull();
			expect(await page.locator('[data-anbau-woven]').count(), theme + path).toBe(0);
		}
	}
	expect(errors).toEqual([]);
	await context.close();
	woven.stop();
});

test('without the script a woven page has its pieces, readable and in their places', async ({ browser, request }) => {
	const { url, shopUrl, storeKey } = running();
	const html = await (await request.get(`${shopUrl}/products/carrot-amber-row`)).text();
	const woven = await request.post(`${url}/live/v1/${storeKey}/weave?kind=product&id=carrot-amber-row`, {
		headers: { 'content-type': 'text/html' },
		data: html
	});
	const context = await browser.newContext({ javaScriptEnabled: false });
	const page = await context.newPage();
	await page.setContent(await woven.text());
	await expect(page.getByRole('heading', { name: 'Growing guide' })).toBeVisible();
	await expect(page.getByText('on a day when the soil crumbles in your hand')).toBeVisible();
	await expect(page.getByRole('heading', { name: 'Description', exact: true })).toBeVisible();
	await context.close();
});

test('weave refuses what is no page, and what is too large', async ({ request }) => {
	const { url, storeKey } = running();
	const send = (data: string, type = 'text/html', key = storeKey) =>
		request.post(`${url}/live/v1/${key}/weave?kind=product&id=carrot-amber-row`, {
			headers: { 'content-type': type },
			data
		});
	expect((await send('{}', 'application/json')).status()).toBe(415);
	expect((await send('x'.repeat(5 * 1024 * 1024 + 1))).status()).toBe(413);
	expect((await send('<p>', 'text/html', 'nobody')).status()).toBe(404);
	expect((await send('')).status()).toBe(200);
	expect(await (await send('<p>Half a <b>page')).text()).toContain('Half a <b>page</b>');
});
