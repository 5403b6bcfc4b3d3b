import AxeBuilder from '@axe-core/playwright';
import { expect, running, test } from './running.js';

const SCREENS = [
	'/library',
	'/library/made-to-order-notice',
	'/library/growing-guide',
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
