import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';
import { expect, running, shopPage, test } from './running.js';

const seeds = () => shopPage('carrot-amber-row');

/** Fails on any error that a page throws. */
function watch(page: Page): string[] {
	const errors: string[] = [];
	page.on('pageerror', (error) => errors.push(error.message));
	return errors;
}

test('tabs keep the keyboard table of the W3C ARIA Authoring Practices, tabs with automatic activation', async ({
	page
}) => {
	await page.goto(seeds());
	const tabs = page.getByRole('tab');
	await expect(tabs).toHaveText(['Growing guide', 'Description', 'Details', 'Delivery', 'Goes well with', 'Reviews']);
	await expect(page.getByRole('tablist')).toBeVisible();
	const expectOpen = async (name: string) => {
		const tab = page.getByRole('tab', { name });
		await expect(tab).toBeFocused();
		await expect(tab).toHaveAttribute('aria-selected', 'true');
		await expect(page.getByRole('tab', { selected: true })).toHaveCount(1);
		await expect(page.locator('[role=tab][tabindex="0"]')).toHaveCount(1);
		const panel = page.locator(`#${await tab.getAttribute('aria-controls')}`);
		await expect(panel).toHaveRole('tabpanel');
		await expect(panel).toHaveAccessibleName(name);
		await expect(panel).not.toHaveAttribute('hidden');
	};
	// Tab: moves into the list, to the active tab.
	await tabs.first().focus();
	await expectOpen('Growing guide');
	// Right Arrow: next, and round to the first; Left Arrow: the other way.
	for (const name of ['Description', 'Details', 'Delivery', 'Goes well with', 'Reviews', 'Growing guide']) {
		await page.keyboard.press('ArrowRight');
		await expectOpen(name);
	}
	await page.keyboard.press('ArrowLeft');
	await expectOpen('Reviews');
	// Home and End: first and last.
	await page.keyboard.press('Home');
	await expectOpen('Growing guide');
	await page.keyboard.press('End');
	await expectOpen('Reviews');
	// Tab: moves on to the panel, not to another tab.
	await page.keyboard.press('Tab');
	await expect(page.locator('#tab-reviews')).toBeFocused();
});

test('closed tabs are found by the browser’s own search and opened by a link', async ({ page }) => {
	await page.goto(`${seeds()}#tab-delivery`);
	await expect(page.getByRole('tab', { name: 'Delivery' })).toHaveAttribute('aria-selected', 'true');
	const closed = page.locator('[data-anbau-tab=details]');
	await expect(closed).toHaveAttribute('hidden', 'until-found');
	await closed.evaluate((panel) => panel.dispatchEvent(new Event('beforematch')));
	await expect(page.getByRole('tab', { name: 'Details' })).toHaveAttribute('aria-selected', 'true');
});

test('the shop’s page has no fault that axe-core finds in what Anbau put there', async ({ page }) => {
	for (const key of ['carrot-amber-row', 'lindow-greenhouse-6-8', 'apple-hollowmere-russet']) {
		await page.goto(shopPage(key));
		await expect(page.getByRole('tab').first()).toBeVisible();
		expect((await new AxeBuilder({ page }).analyze()).violations.map(({ id, nodes }) => [id, nodes[0]?.html])).toEqual(
			[]
		);
	}
});

test('the theme’s content security policy is kept, and nothing widens a phone', async ({ page }) => {
	const errors = watch(page);
	const said: string[] = [];
	page.on('console', (message) => said.push(message.text()));
	await page.setViewportSize({ width: 390, height: 780 });
	await page.goto(shopPage('lindow-greenhouse-6-8'));
	await expect(page.locator('.anbau-message').first()).toBeVisible();
	await expect(page.getByText('Not sure?')).toBeVisible();
	expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
	expect([...errors, ...said.filter((text) => /Content.Security|Anbau/i.test(text))]).toEqual([]);
	await page.setViewportSize({ width: 800, height: 780 });
	await expect(page.getByText('Not sure?')).toBeHidden();
});

test.describe('the page stays as the theme made it when the live document', () => {
	const theme = async (page: Page) => {
		await expect(page.getByRole('heading', { name: 'Carrot ‘Amber Row’' })).toBeVisible();
		for (const name of ['Description', 'Details', 'Delivery'])
			await expect(page.getByRole('heading', { name, exact: true })).toBeVisible();
		await expect(page.getByRole('tab')).toHaveCount(0);
		await expect(page.locator('.anbau')).toHaveCount(0);
	};
	const answers: [string, string | null][] = [
		['is not there', null],
		['is not JSON', 'garbage <html>'],
		['is something else', '{"hello":1}'],
		['is half right', '{"hooks":{"above-buy":null},"tabs":[]}'],
		['is an error', '{"status":500}']
	];
	for (const [words, body] of answers) {
		test(words, async ({ page }) => {
			const errors = watch(page);
			await page.route('**/live/v1/*/page?*', (route) =>
				body === null
					? route.abort()
					: route.fulfill({ status: 200, body, headers: { 'access-control-allow-origin': '*' } })
			);
			await page.goto(seeds());
			await page.waitForTimeout(400);
			await theme(page);
			expect(errors).toEqual([]);
		});
	}

	test('is there, but a part of the script is not, and no space stays kept', async ({ page }) => {
		await page.goto(seeds());
		await expect(page.getByRole('tab').first()).toBeVisible();
		await page.route('**/anbau-tabs.js', (route) => route.abort());
		await page.reload();
		await page.waitForTimeout(600);
		await theme(page);
		const kept = await page
			.locator('[data-anbau-hook]')
			.evaluateAll(
				(hooks) => hooks.filter((hook) => hook instanceof HTMLElement && hook.style.minHeight !== '').length
			);
		expect(kept).toBe(0);
	});

	test('takes more than three seconds', async ({ page }) => {
		const errors = watch(page);
		let ended = false;
		await page.route('**/live/v1/*/page?*', async (route) => {
			await new Promise((resolve) => setTimeout(resolve, 3800));
			ended = true;
			await route.continue().catch(() => undefined);
		});
		await page.goto(seeds());
		await expect.poll(() => ended, { timeout: 8000 }).toBe(true);
		await page.waitForTimeout(500);
		await theme(page);
		expect(errors).toEqual([]);
	});
});

test('a hook that the page lacks is skipped, and the others are served', async ({ page, call }) => {
	const note = {
		kind: 'message',
		name: 'Below the price',
		body: { markdown: 'Below the price.' },
		target: { field: 'category', operator: 'in', value: 'tools' },
		placements: [{ hook: 'below-price' }, { hook: 'above-buy' }]
	};
	expect((await call('PUT', '/pieces/below-the-price', note)).status()).toBe(200);
	await call('POST', '/publish', { note: 'test', pieces: ['below-the-price'] });
	const errors = watch(page);
	await page.goto(shopPage('border-spade-ash-handle'));
	await expect(page.getByText('Below the price.')).toHaveCount(1);
	expect(errors).toEqual([]);
	await call('DELETE', '/pieces/below-the-price');
	await call('POST', '/publish', { note: 'test', pieces: ['below-the-price'] });
});

test('the script runs once however often it is included, and follows a page that changes', async ({ page }) => {
	const errors = watch(page);
	await page.goto(shopPage('lindow-greenhouse-6-8'));
	const message = page.locator('[data-anbau-piece=made-to-order-notice]');
	await expect(message).toHaveCount(1);
	await page.evaluate(() => {
		const own = document.querySelector('script[data-store]');
		const again = document.createElement('script');
		for (const { name, value } of own?.attributes ?? []) again.setAttribute(name, value);
		document.head.append(again);
	});
	await page.waitForTimeout(300);
	await expect(message).toHaveCount(1);
	await expect(page.getByRole('tablist')).toHaveCount(1);
	// The theme makes a part of the page anew.
	await page.evaluate(() => {
		const marker = document.querySelector('[data-anbau-hook=above-buy]');
		marker?.replaceWith(Object.assign(document.createElement('div'), { id: 'fresh' }));
		document.querySelector('#fresh')?.setAttribute('data-anbau-hook', 'above-buy');
	});
	await expect(message).toHaveCount(1);
	// Another product without a reload.
	await page.evaluate(() => document.querySelector('script[data-store]')?.setAttribute('data-id', 'carrot-amber-row'));
	await expect(page.getByRole('tab', { name: 'Growing guide' })).toBeVisible();
	await expect(message).toHaveCount(0);
	await expect(page.getByRole('tab')).toHaveText([
		'Growing guide',
		'Description',
		'Details',
		'Delivery',
		'Goes well with',
		'Reviews'
	]);
	expect(errors).toEqual([]);
});

test('the live document has an ETag, no cookies, and is empty for an unknown product', async ({ request }) => {
	const { url, storeKey } = running();
	const page = `${url}/live/v1/${storeKey}/page`;
	const first = await request.get(`${page}?kind=product&id=lindow-greenhouse-6-8`);
	expect(first.headers()).toMatchObject({
		'access-control-allow-origin': '*',
		'cache-control': 'public, max-age=0, s-maxage=0, must-revalidate'
	});
	expect(first.headers()['set-cookie']).toBeUndefined();
	const etag = first.headers().etag ?? '';
	expect(
		(
			await request.get(`${page}?kind=product&id=lindow-greenhouse-6-8`, { headers: { 'if-none-match': etag } })
		).status()
	).toBe(304);
	expect(await (await request.get(`${page}?kind=product&id=nothing`)).json()).toMatchObject({ hooks: {}, tabs: [] });
	expect((await request.get(`${url}/live/v1/nobody/page?kind=product&id=x`)).status()).toBe(404);
});
