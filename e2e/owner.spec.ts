import { expect, running, shopPage, test } from './running.js';

const hashOf = async (call: (method: string, path: string) => Promise<{ json(): Promise<unknown> }>) =>
	((await (await call('POST', '/hooks/link')).json()) as { url: string }).url.split('#')[1] ?? '';

test('the owner’s link draws the hooks into the shop, in both themes; shoppers never get that code', async ({
	page,
	call
}) => {
	const asked: string[] = [];
	page.on('request', (request) => asked.push(request.url()));
	await page.goto(shopPage('lindow-greenhouse-6-8'));
	await page.waitForLoadState('networkidle');
	expect(asked.filter((url) => url.includes('owner'))).toEqual([]);
	const hash = await hashOf(call);
	const { url, shopUrl, storeKey } = running();
	for (const address of [
		`${shopUrl}/products/lindow-greenhouse-6-8`,
		`${shopUrl}/meadow/products/lindow-greenhouse-6-8`
	]) {
		await page.goto('about:blank');
		await page.goto(`${address}#${hash}`);
		const name = page.getByRole('button', { name: 'above-buy', exact: true });
		await expect(name).toBeVisible();
		await expect(page.getByText(/of \d+ hooks are on this page/)).toBeVisible();
		await name.click();
		await expect(page.getByText('above the buy button: 2 pieces hang here in all.')).toBeVisible();
		await expect(page.getByRole('link', { name: 'Hang a piece' })).toHaveAttribute(
			'href',
			`${url}/plan?kind=product&id=lindow-greenhouse-6-8&hook=above-buy`
		);
		await page.keyboard.press('Escape');
		await expect(page.getByRole('link', { name: 'Hang a piece' })).toHaveCount(0);
	}
	// The link leads on through the shop, and can be left.
	await page.getByRole('link', { name: 'Delivery' }).first().click();
	await expect(page.getByRole('button', { name: 'page-top', exact: true })).toBeVisible();
	await page.getByRole('button', { name: 'Leave' }).click();
	await expect(page.getByRole('button', { name: 'page-top', exact: true })).toHaveCount(0);
	const forged = await page.request.get(`${url}/live/v1/${storeKey}/owner.js?token=${hash.split('=')[1]}x`);
	expect(forged.status()).toBe(403);
	expect((await page.request.get(`${url}/live/v1/${storeKey}/hooks?kind=product`)).status()).toBe(403);
});

test('any element becomes a hook: clicked in the shop, tried on other pages, kept with a name', async ({
	desk,
	call
}) => {
	await call('POST', '/hooks/look');
	const hash = await hashOf(call);
	const shop = await desk.context().newPage();
	await shop.goto(`${running().shopUrl}/meadow/products/carrot-amber-row#${hash}`);
	await shop.getByRole('button', { name: 'Make an element a hook' }).click();
	const opened = desk.context().waitForEvent('page');
	await shop.locator('.lead').click();
	const form = await opened;
	await form.waitForLoadState();
	await expect(form.getByLabel('CSS selector, where the theme has no marker')).toHaveValue('.lead');
	await expect(form.getByText(/^One element on \d+ of \d+ sample pages/)).toBeVisible({ timeout: 15_000 });
	await form.getByLabel(/^Name for the API/).fill('below-lead');
	await form.getByLabel(/^Where it is, as/).fill('below the lead');
	await form.getByRole('button', { name: 'Keep' }).click();
	await expect(form.getByText('The hook below-lead is kept.')).toBeVisible();
	await form.goto(`${running().url}/plan?product=carrot-amber-row&hook=below-lead`);
	await expect(form.locator('[data-hook="below-lead"]')).toBeVisible();
	expect((await call('DELETE', '/hooks/below-lead')).status()).toBe(204);
});

test('the hooks’ screen says what a selector finds: nothing, too much, or what is no selector', async ({ desk }) => {
	await desk.goto(`${running().url}/hooks?hook=above-reviews`);
	const field = desk.getByLabel('CSS selector, where the theme has no marker');
	await field.fill('.no-such-thing');
	await expect(desk.getByText(/It finds nothing on \d+ sample pages/)).toBeVisible({ timeout: 15_000 });
	await field.fill('a');
	await expect(desk.getByText(/It finds up to \d+ elements on one page/)).toBeVisible({ timeout: 15_000 });
	await field.fill('a[');
	await expect(desk.getByText(/is no CSS selector/)).toBeVisible({ timeout: 15_000 });
	await desk.getByRole('button', { name: 'Keep' }).click();
	await expect(desk.getByRole('alert')).toContainText('is no CSS selector');
	await expect(field).toHaveValue('a[');
});
