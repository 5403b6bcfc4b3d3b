import { join } from 'node:path';
import { expect, running, shopPage, test } from './running.js';

const shopThemes = ['', '/meadow'];
const beds = 'larch-raised-bed-120-80';

for (const theme of shopThemes) {
	test(`stars by the title lead to the reviews, which are ordered, filtered and leafed through${theme}`, async ({
		page
	}) => {
		await page.goto(`${running().shopUrl}${theme}/products/${beds}`);
		await page.getByRole('link', { name: /\d+ reviews/ }).click();
		const section = page.locator('#anbau-reviews');
		await expect(section).toBeVisible();
		await expect(page.getByRole('tab', { name: 'Reviews' })).toHaveAttribute('aria-selected', 'true');
		await expect(section.getByRole('article')).toHaveCount(4);
		const first = await section.getByRole('article').first().textContent();
		await section.getByRole('button', { name: 'Next' }).click();
		await expect(section).toContainText('2 of');
		await expect(section.getByRole('article').first()).not.toHaveText(first ?? '');
		await section.getByLabel('Rating').selectOption('5');
		await expect(section).not.toContainText('2 of');
		const stars = section.getByRole('article').getByRole('img', { name: '5 of 5 stars' });
		await expect(stars).toHaveCount(await section.getByRole('article').count());
		await section.getByLabel('Rating').selectOption('');
		await section.getByLabel('Order').selectOption('worst');
		await expect(section.getByRole('article').first().getByRole('img').first()).not.toHaveAccessibleName(
			'5 of 5 stars'
		);
		// Search engines are told of what is seen, and of the average once.
		const data = await page.locator('.anbau script[type="application/ld+json"]').allTextContents();
		const reviews = data.flatMap((text) => (JSON.parse(text) as { review?: object[] }).review ?? []);
		expect(reviews).toHaveLength(await section.getByRole('article').count());
	});
}

test('what a customer writes waits, is shown by its key, and stands in the shop', async ({ page, desk, browser }) => {
	const context = await browser.newContext();
	const shop = await context.newPage();
	await shop.goto(`${shopPage('dahlia-ember-hall')}#tab-reviews`);
	await shop.getByText('Write a review').click();
	const form = shop.locator('.anbau-write form');
	await form.getByText('4 stars').click();
	await form.getByLabel('Headline').fill('A late flame');
	await form.getByLabel('Review', { exact: true }).fill('Flowered until the first frost.');
	await form.getByLabel('Name that is shown').fill('Wren D.');
	await form.getByLabel('Pictures').setInputFiles(join(import.meta.dirname, '../demo/films/planting.jpg'));
	await expect(form.getByLabel('Website')).not.toBeInViewport();
	await form.getByRole('button', { name: 'Send review' }).click();
	await expect(form.getByRole('status')).toHaveText('Thank you. Your review waits to be looked at.');

	await desk.goto(`${running().url}/reviews`);
	const row = page.getByRole('listitem').filter({ hasText: 'A late flame' });
	await expect(row).toHaveAttribute('aria-current', 'true');
	await page.keyboard.press('s');
	await expect(page.getByText('1 review shown.')).toBeVisible();
	await expect(row).toHaveCount(0);
	await shop.goto(`${shopPage('dahlia-ember-hall')}?again#tab-reviews`);
	const written = shop.getByRole('article').filter({ hasText: 'A late flame' });
	await expect(written).toContainText('Wren D.');
	const picture = written.getByAltText('Picture 1 by Wren D.');
	await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBe(960);

	// Hidden by its key for a reason, it is gone from the shop; the notice brings it back.
	await page.getByRole('button', { name: /^Shown/ }).click();
	await page.getByLabel('Search reviews').fill('late flame');
	await expect(page.getByLabel('Reviews', { exact: true }).getByRole('listitem')).toHaveCount(1);
	await page.getByRole('heading', { name: 'Reviews' }).click();
	await page.keyboard.press('h');
	await page.getByRole('button', { name: 'Names a person' }).click();
	await page.getByRole('button', { name: 'Hide', exact: true }).click();
	await expect(page.getByText('1 review hidden.')).toBeVisible();
	await shop.reload();
	await expect(shop.getByRole('tab', { name: 'Reviews' })).toBeVisible();
	await expect(written).toHaveCount(0);
	await page
		.getByRole('listitem')
		.filter({ hasText: '1 review hidden.' })
		.getByRole('button', { name: 'Undo' })
		.click();
	await expect(page.getByLabel('Reviews', { exact: true }).getByRole('listitem')).toHaveCount(1);
	await context.close();
});

test('an invitation’s link opens the form, and its review is verified', async ({ desk: page, call }) => {
	await page.goto(`${running().url}/reviews`);
	await page.getByRole('button', { name: 'Invite to review' }).click();
	await page.getByLabel('Number of the order').fill('HM-7001');
	await page.getByRole('button', { name: 'A product of the order' }).click();
	await page.getByLabel('Search products').fill('folding bench');
	await page.getByRole('option', { name: 'Folding bench Lock' }).click();
	await page.getByRole('button', { name: 'Make the links' }).click();
	const link = await page.getByLabel('Links').inputValue();
	await page.goto(link);
	const form = page.locator('.anbau-write form');
	await expect(form).toBeVisible();
	await expect(page).not.toHaveURL(/anbau-review=/);
	await form.getByText('5 stars').click();
	await form.getByLabel('Review', { exact: true }).fill('Sat on it at once.');
	await form.getByLabel('Name that is shown').fill('Ivo');
	await form.getByRole('button', { name: 'Send review' }).click();
	await expect(form.getByRole('status')).toContainText('Thank you');
	const { reviews } = (await (await call('GET', '/reviews?q=Sat+on+it')).json()) as { reviews: object[] };
	expect(reviews).toMatchObject([{ verified: true, state: 'waiting', product: 'folding-bench-lock' }]);
});

test('a file of another program is matched, tried, and taken; faults say where', async ({ desk: page }) => {
	await page.goto(`${running().url}/reviews`);
	await page.getByRole('button', { name: 'Import' }).click();
	const csv = [
		'Handle,Points,Said,Customer,Day',
		'hand-trowel-narrow,5,Fits the hand,Jo,2026-01-02',
		'hand-trowel-narrow,6,Too many stars,Jo,2026-01-02'
	].join('\n');
	const sheet = page.getByRole('dialog');
	await sheet
		.locator('input[type=file]')
		.setInputFiles({ name: 'old.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) });
	// What nobody could guess is matched by hand.
	await sheet.getByLabel('Said').selectOption('text');
	await expect(sheet.getByText('It would bring')).toBeVisible();
	await expect(sheet.getByText('1 new, 0 changed')).toBeVisible();
	await expect(sheet.getByRole('row', { name: /3 rating “6” is not a whole number of stars/ })).toBeVisible();
	await expect(sheet.getByText('Fits the hand')).toBeVisible();
	await sheet.getByRole('button', { name: 'Import', exact: true }).click();
	await expect(sheet.getByText('Done:')).toBeVisible();
	await sheet.getByRole('button', { name: 'Close' }).last().click();
	await page.getByLabel('Search reviews').fill('Fits the hand');
	await expect(page.getByRole('listitem').filter({ hasText: 'Fits the hand' })).toContainText('Hand trowel, narrow');
});
