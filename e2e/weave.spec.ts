import type { Page } from '@playwright/test';
import { expect, running, test } from './running.js';

/** What stands in the page's body, without what differs from one load to the next: numbers of tabs, empty classes. */
function bodyOf(page: Page): Promise<string> {
	return page.evaluate(() => {
		const body = document.body.cloneNode(true) as HTMLElement;
		for (const script of body.querySelectorAll('script')) script.remove();
		for (const element of body.querySelectorAll('[class=""]')) element.removeAttribute('class');
		// What a visitor looked at lately is the visitor's browser's own, and the one thing that is left out.
		for (const list of body.querySelectorAll('[data-anbau-recent]')) list.closest('.anbau-slot')?.remove();
		const sorted = (element: Element) => {
			const attributes = [...element.attributes].sort((a, b) => (a.name < b.name ? -1 : 1));
			for (const { name } of attributes) element.removeAttribute(name);
			for (const { name, value } of attributes) element.setAttribute(name, value);
		};
		for (const element of body.querySelectorAll('*')) sorted(element);
		return body.innerHTML
			.replace(/anbau-tab-\d+-/g, 'anbau-tab-n-')
			.replace(/\s+/g, ' ')
			.replace(/> </g, '><')
			.trim();
	});
}

test('a woven page is the page that the script makes, in both themes and on every kind of page', async ({
	browser,
	call,
	request
}) => {
	test.setTimeout(240_000);
	const { url, shopUrl, storeKey } = running();
	const { products } = (await (await call('GET', '/products?limit=100')).json()) as { products: { key: string }[] };
	const chosen = products.filter((_, i) => i % 10 === 0).map(({ key }) => key);
	const keys = new Set([
		...chosen,
		'lindow-greenhouse-6-8',
		'carrot-amber-row',
		'border-spade-ash-handle',
		'cedar-bed-double'
	]);
	const pages = [
		...[...keys].map((key) => ['product', key, `/products/${key}`] as const),
		['category', 'seeds', '/category/seeds'] as const,
		['article', 'sowing-under-glass', '/articles/sowing-under-glass'] as const,
		['home', '', '/'] as const,
		['plain', 'delivery', '/pages/delivery'] as const
	];
	const context = await browser.newContext();
	const page = await context.newPage();
	const errors: string[] = [];
	page.on('pageerror', (error) => errors.push(error.message));
	for (const theme of ['', '/meadow']) {
		for (const [kind, id, path] of pages) {
			const address = `${shopUrl}${theme}${path}`;
			const response = await request.get(address);
			if (response.status() === 404) continue;
			await page.goto(address);
			await page.waitForLoadState('networkidle');
			await page.evaluate(() => localStorage.clear());
			const byScript = await bodyOf(page);
			const query = new URLSearchParams({ kind, id });
			const woven = await request.post(`${url}/live/v1/${storeKey}/weave?${query}`, {
				headers: { 'content-type': 'text/html' },
				data: await response.text()
			});
			expect(woven.status(), address).toBe(200);
			const html = await woven.text();
			await page.route(address, (route) => route.fulfill({ body: html, headers: response.headers() }));
			await page.goto(address);
			await page.waitForLoadState('networkidle');
			expect(await bodyOf(page), address).toBe(byScript);
			expect(await page.locator('[data-anbau-woven]').count(), address).toBe(0);
			await page.unroute(address);
			await page.evaluate(() => localStorage.clear());
		}
	}
	expect(errors).toEqual([]);
	await context.close();
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
