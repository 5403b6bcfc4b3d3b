import AxeBuilder from '@axe-core/playwright';
import { expect, running, shopPage, test } from './running.js';

const SCREENS = [
	'/library',
	'/library/made-to-order-notice',
	'/library/growing-guide',
	'/library/greenhouse-questions',
	'/plan?product=lindow-greenhouse-6-8&hook=above-buy',
	'/hooks?hook=above-buy',
	'/exceptions',
	'/media',
	'/reviews',
	'/library/reviews',
	'/library/how-it-is-sown',
	'/library/assembly-film',
	'/attributes',
	'/catalog',
	'/catalog/lindow-greenhouse-6-8',
	'/releases',
	'/store'
];

for (const path of SCREENS) {
	test(`${path} has no fault that axe-core finds, and nothing is wider than the window`, async ({ desk: page }) => {
		await page.goto(running().url + path);
		await page.waitForLoadState('networkidle');
		const { violations } = await new AxeBuilder({ page })
			.exclude('iframe')
			.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
			.analyze();
		expect(violations.map(({ id, nodes }) => [id, nodes.map((node) => node.html)])).toEqual([]);
		for (const width of [1280, 390]) {
			await page.setViewportSize({ width, height: 800 });
			expect(await page.evaluate(() => document.documentElement.scrollWidth), `at ${width}`).toBeLessThanOrEqual(width);
		}
	});
}

test('a message can be switched off on a phone', async ({ desk: page }) => {
	await page.setViewportSize({ width: 390, height: 780 });
	await page.goto(`${running().url}/library`);
	const toggle = page.getByLabel('Loved by bees is on');
	await toggle.click();
	await expect(page.getByText('“Loved by bees” is off')).toBeVisible();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(toggle).toBeChecked();
});

test('nobody gets in without signing in', async ({ page, request }) => {
	await page.goto(`${running().url}/catalog`);
	await expect(page).toHaveURL(/sign-in/);
	await page.getByLabel('E-mail').fill(running().email);
	await page.getByLabel('Password').fill('wrong');
	await page.getByRole('button', { name: 'Sign in', exact: true }).click();
	await expect(page.getByRole('alert')).toHaveText(/address or the password is wrong/);
	await page.getByLabel('Password').fill(running().password);
	await page.getByRole('button', { name: 'Sign in', exact: true }).click();
	await expect(page).toHaveURL(/catalog/);
	expect((await request.get(`${running().url}/api/v1/pieces`)).status()).toBe(401);
	expect(
		(await request.get(`${running().url}/api/v1/pieces`, { headers: { authorization: 'Bearer nonsense' } })).status()
	).toBe(401);
	const foreign = await page.request.fetch(`${running().url}/api/v1/pieces/saving`, {
		method: 'PATCH',
		data: { on: false },
		headers: { origin: running().shopUrl }
	});
	expect(foreign.status()).toBe(403);
});

test('anything is found by key, and the keys are listed', async ({ desk: page }) => {
	await page.keyboard.press('Control+k');
	const search = page.getByRole('combobox', { name: /^Find/ });
	await expect(search).toBeFocused();
	await search.fill('seed comp');
	await expect(page.getByRole('option', { name: /Seed compost/ })).toBeVisible();
	await page.keyboard.press('Enter');
	await expect(page).toHaveURL(/catalog\/seed-compost-40-l/);
	await page.keyboard.press('?');
	await expect(page.getByText('these keys')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByText('these keys')).toBeHidden();
});

test('the library is filtered, and several pieces are switched and deleted at once, with undo', async ({
	desk: page
}) => {
	const names = page.locator('[data-piece]');
	await page.getByRole('button', { name: 'Tabs' }).click();
	await expect(names).toContainText(['Care of wood', 'Growing guide', 'Planting bare-root']);
	await expect(names.filter({ hasText: 'Freight notice' })).toHaveCount(0);
	await page.getByRole('button', { name: 'Tabs' }).click();
	await page.getByRole('button', { name: 'Reaches product' }).click();
	await page.getByLabel('Search products').fill('Seed compost');
	await page.getByRole('option', { name: 'Seed compost, 40 l' }).click();
	await expect(names.filter({ hasText: 'Growing guide' })).toHaveCount(0);
	await expect(names).toContainText([
		'Call the nursery',
		'Freight notice',
		'Peat-free promise',
		'Spring freight notice'
	]);
	await page.getByRole('button', { name: 'Whatever it reaches' }).click();
	for (const name of ['Care of wood', 'Loved by bees']) await page.getByLabel(`Choose ${name}`).check();
	const bar = page.getByRole('toolbar', { name: 'Chosen pieces' });
	await bar.getByRole('button', { name: 'Switch off' }).click();
	await expect(page.getByLabel('Care of wood is on')).not.toBeChecked();
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByLabel('Care of wood is on')).toBeChecked();
	await bar.getByRole('button', { name: 'Delete' }).click();
	await expect(page.getByRole('row', { name: /Care of wood/ })).toContainText('removed with the next release');
	await page.getByRole('listitem').filter({ hasText: 'deleted' }).getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByRole('row', { name: /Care of wood/ })).not.toContainText('removed');
});

test('a whole release is published with a note, and an earlier one put back', async ({ desk: page }) => {
	await page.goto(`${running().url}/store`);
	await page.getByLabel('Name of details').fill('Facts');
	await page.getByLabel('Name of details').press('Enter');
	await page.getByRole('link', { name: 'Review & publish' }).click();
	await expect(page.getByText('on every product page')).toBeVisible();
	await page.getByLabel('Note').fill('Facts, not details');
	await page.getByRole('button', { name: 'Publish everything' }).click();
	await expect(page.getByRole('listitem').filter({ hasText: 'Facts, not details' })).toContainText('live');
	const shop = await page.context().newPage();
	await shop.goto(shopPage('cold-frame-60'));
	await expect(shop.getByRole('tab')).toContainText(['Description', 'Facts', 'Delivery']);
	await page
		.getByRole('listitem')
		.filter({ hasText: 'The demo as it comes' })
		.getByRole('button', { name: 'Put back' })
		.click();
	await expect(page.getByText('Your drafts are untouched')).toBeVisible();
	await shop.reload();
	await expect(shop.getByRole('tab', { name: 'Details' })).toBeVisible();
	await page.goto(`${running().url}/store`);
	await page.getByLabel('Name of details').fill('Details');
	await page.getByLabel('Name of details').press('Enter');
});
