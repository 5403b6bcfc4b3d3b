import type { Page } from '@playwright/test';
import { expect, running, shopPage, test } from './running.js';

/** A cell of the sheet by its row and column, counted from 0. */
const cell = (page: Page, row: number, column: number) =>
	page.locator(
		`revogr-data[type="rgRow"][col-type="rgCol"] .rgRow[data-rgrow="${row}"] .rgCell[data-rgcol="${column}"]`
	);
const openTab = async (page: Page, key: string, name: string) => {
	await page.goto(shopPage(key));
	await page.getByRole('tab', { name }).click();
	return page.getByRole('tabpanel', { name });
};
const tabsOf = async (page: Page, key: string) => {
	await page.goto(shopPage(key));
	await expect(page.getByRole('tab').first()).toBeVisible();
	return page.getByRole('tab').allTextContents();
};

test('one growing guide serves all seeds with their own values, and leaves out what is missing', async ({ page }) => {
	const carrot = await openTab(page, 'carrot-amber-row', 'Growing guide');
	await expect(carrot.getByRole('row')).toHaveText(['Sowing depth1 cm', 'Spacing5 cm']);
	await expect(carrot).toContainText('Sow 1 cm deep');
	const bean = await openTab(page, 'climbing-bean-harlow-tall', 'Growing guide');
	await expect(bean.getByRole('row')).toHaveText(['Sowing depth4 cm', 'Spacing20 cm']);
	// No sowing depth: neither its row nor the step that says it, and no empty label.
	const sunflower = await openTab(page, 'thyme-creeping', 'Growing guide');
	await expect(sunflower.getByRole('row')).toHaveText(['Spacing20 cm']);
	await expect(sunflower).not.toContainText('deep');
	await expect(sunflower.getByRole('listitem').filter({ hasText: 'Thin to 20 cm' })).toBeVisible();
	expect(await tabsOf(page, 'hand-trowel-narrow')).not.toContain('Growing guide');
});

test('manuals are listed where there are any, open beside the page, and are gone after their last valid day', async ({
	page,
	request
}) => {
	const panel = await openTab(page, 'lindow-greenhouse-6-8', 'Documents');
	await expect(panel.getByRole('listitem')).toHaveText([/Assembly manual PDF · .*kB/, /Care of aluminium frames/]);
	const link = panel.getByRole('link', { name: 'Assembly manual' });
	await expect(link).toHaveAttribute('target', '_blank');
	const answer = await request.get((await link.getAttribute('href')) ?? '');
	expect([answer.status(), answer.headers()['content-type'], answer.headers()['x-content-type-options']]).toEqual([
		200,
		'application/pdf',
		'nosniff'
	]);
	expect((await answer.body()).subarray(0, 5).toString()).toBe('%PDF-');
	// The campaign's sheet ended with June 2026: not listed, and its address says that it is gone.
	const { url, storeKey, apiKey } = running();
	const product = (await (
		await request.get(`${url}/api/v1/products/lindow-greenhouse-6-8`, {
			headers: { authorization: `Bearer ${apiKey}` }
		})
	).json()) as { attributes: { manuals: { label: string; address: string }[] } };
	const ended = product.attributes.manuals.find((one) => one.label === 'Spring campaign 2026');
	const gone = await request.get(
		`${url}/live/v1/${storeKey}/files/${ended?.address.slice('file:'.length)}/campaign.pdf`
	);
	expect(gone.status()).toBe(410);
	expect(await tabsOf(page, 'secateurs-no-4')).not.toContain('Documents');
});

test('a lead-time message has the right day and counts down to the cut-off', async ({ page }) => {
	await page.goto(shopPage('carrot-amber-row'));
	const message = page.locator('[data-anbau-piece="lead-time"]');
	// Reckoned here by another road than the product's: two working days from the day that counts, in Berlin.
	const expected = await page.evaluate(() => {
		const holidays = ['2026-12-24', '2026-12-25', '2027-01-01', '2027-03-26', '2027-03-29'];
		const wall = new Date(new Date().toLocaleString('en-US', { timeZone: 'Europe/Berlin' }));
		const iso = (day: Date) =>
			`${day.getFullYear()}-${String(day.getMonth() + 1).padStart(2, '0')}-${String(day.getDate()).padStart(2, '0')}`;
		const works = (day: Date) => day.getDay() % 6 !== 0 && !holidays.includes(iso(day));
		const day = new Date(wall);
		let left = works(day) && wall.getHours() < 14 ? 2 : 3;
		while (left > 0) {
			day.setDate(day.getDate() + 1);
			if (works(day)) left--;
		}
		return new Intl.DateTimeFormat('en-GB', { dateStyle: 'full' }).format(day);
	});
	await expect(message.locator('strong')).toHaveText(expected);
	const countdown = message.locator('time');
	if ((await countdown.count()) > 0) await expect(countdown).toHaveText(/^\d+ (hrs?|mins?)/);
});

test('a list fills itself, and takes its tab away where it comes out empty', async ({ page }) => {
	const panel = await openTab(page, 'carrot-amber-row', 'Goes well with');
	await expect(panel.getByRole('heading', { name: 'Our gardeners’ choice' })).toBeVisible();
	await expect(panel.getByRole('link', { name: /Spinach ‘Early Fold’/ })).toHaveAttribute('href', /spinach-early-fold/);
	await expect(panel.getByRole('heading', { name: 'From the same bed' })).toBeVisible();
	const bean = await openTab(page, 'climbing-bean-harlow-tall', 'Goes well with');
	await expect(bean.locator('.anbau-body').getByRole('heading')).toHaveText(['From the same bed']);
	expect(await tabsOf(page, 'hollowmere-gift-voucher')).not.toContain('Goes well with');
	// What this visitor looked at is known to this browser alone.
	await expect(page.getByRole('heading', { name: 'You looked at' })).toBeVisible();
	await expect(page.locator('[data-anbau-recent] a').first()).toHaveAttribute('href', /climbing-bean-harlow-tall/);
});

test('attributes are defined once and filled in the sheet, by typing, pasting and filling down', async ({
	desk: page,
	call
}) => {
	await page.context().grantPermissions(['clipboard-read', 'clipboard-write']);
	await page.getByRole('link', { name: 'Attributes' }).click();
	await page.getByRole('button', { name: 'New', exact: true }).click();
	await page.getByLabel('Label, as shoppers read it').fill('Days to harvest');
	await page.getByLabel('Type').selectOption('Number');
	await page.getByLabel('Unit').fill('days');
	await page.getByRole('button', { name: 'Choose categories' }).click();
	await page.getByRole('combobox', { name: 'Search categories' }).fill('Seeds › Herbs');
	await page.keyboard.press('Enter');
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: 'Define it' }).click();
	await expect(page.getByRole('button', { name: 'Days to harvest' })).toBeVisible();

	await page.getByRole('button', { name: '14 missing' }).click();
	await expect(page.getByTestId('sheet-state')).toHaveText('14 rows');
	const column = 9;
	await page
		.getByTestId('sheet')
		.locator('revo-grid')
		.evaluate((grid) =>
			(grid as unknown as { scrollToColumnProp: (prop: string) => Promise<void> }).scrollToColumnProp('days_to_harvest')
		);
	await cell(page, 0, column).click();
	await page.keyboard.press('6');
	await page.locator('revogr-edit input').waitFor();
	await page.keyboard.type('0');
	await page.keyboard.press('Enter');
	await expect(cell(page, 0, column)).toHaveText('60');

	await cell(page, 0, column).click();
	for (let i = 0; i < 2; i++) await page.keyboard.press('Shift+ArrowDown');
	await expect
		.poll(() =>
			page
				.locator('revo-grid')
				.evaluate(async (grid) =>
					(grid as unknown as { getSelectedRange: () => Promise<{ y1: number } | null> }).getSelectedRange()
				)
		)
		.toMatchObject({ y1: 2 });
	await page.keyboard.press('Control+d');
	await expect(cell(page, 2, column)).toHaveText('60');
	await page.keyboard.press('Control+z');
	await expect(cell(page, 2, column)).toHaveText('');

	await page.evaluate(() => navigator.clipboard.writeText('70\n7,5'));
	await cell(page, 1, column).click();
	await page.keyboard.press('Control+v');
	await expect(page.getByRole('alert')).toContainText('“7,5” has a comma; write it with a point, 7.5');
	await expect(cell(page, 1, column)).toHaveText('70');
	await expect(cell(page, 2, column)).toHaveText('7,5');
	await expect(page.getByText('2/14', { exact: true })).toBeVisible();
	await call('DELETE', '/attributes/days_to_harvest');
});

test('a changed type shows what it would do before it does anything', async ({ desk: page, call }) => {
	await page.goto(`${running().url}/attributes`);
	await page.getByRole('button', { name: 'Glazing', exact: true }).click();
	await page.getByLabel('Type').selectOption('Number');
	await page.getByRole('button', { name: 'Save', exact: true }).click();
	await expect(page.getByText('6 values cannot be converted and would be cleared')).toBeVisible();
	await page.getByRole('button', { name: 'Cancel' }).click();
	expect(await (await call('GET', '/attributes/glazing')).json()).toMatchObject({ type: 'text' });
	await page.getByRole('button', { name: 'New', exact: true }).click();
	await page.getByLabel('Label, as shoppers read it').fill('Glazing');
	await page.getByRole('button', { name: 'Define it' }).click();
	await expect(page.getByText('This is the code of “Glazing” already.')).toBeVisible();
	await page.keyboard.press('Escape');
	await page.getByRole('button', { name: 'How full' }).click();
	await expect(
		page
			.getByRole('img', { name: /How full each attribute is/ })
			.locator('canvas')
			.first()
	).toBeVisible();
});

test('a CSV file of the sheet says every change before it makes one', async ({ desk: page, call }) => {
	await page.goto(`${running().url}/attributes`);
	await page.getByRole('button', { name: 'Take a CSV file' }).click();
	await page.setInputFiles('input[type=file]', {
		name: 'attributes.csv',
		mimeType: 'text/csv',
		buffer: Buffer.from('key,attribute.hardiness\nsnowdrop-25-bulbs,to −35 °C\ndahlia-ember-hall,\nnobody,x\n')
	});
	await expect(page.getByTestId('file-outcome')).toContainText('1 cell would change');
	await expect(page.getByText('there is no product with the key “nobody”')).toBeVisible();
	await page.getByRole('button', { name: 'Make these changes' }).click();
	await expect(page.getByTestId('file-outcome')).toContainText('1 cell changed');
	const product = (await (await call('GET', '/products/snowdrop-25-bulbs')).json()) as { attributes: object };
	expect(product.attributes).toMatchObject({ hardiness: 'to −35 °C' });
});
