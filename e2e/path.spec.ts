import { expect, running, shopPage, test } from './running.js';

const CSV = `key;title;price;stock;tags;categories;url
trug-small;Trug, small;29,00;3;willow|made-to-order;Baskets;SHOP/products/border-spade-ash-handle
trug-large;Trug, large;39,00;9;willow;Baskets;SHOP/products/cold-frame-60
trug-odd;Trug, odd;price on request;9;willow;Baskets;
`;

test('from a catalogue file to the shop, with a message and a tab', async ({ desk: page }) => {
	await test.step('import a catalogue by hand, with a row that cannot be read', async () => {
		await page.getByRole('link', { name: 'Catalog' }).click();
		await page.getByRole('button', { name: 'Import a file' }).click();
		await page.setInputFiles('input[type=file]', {
			name: 'trugs.csv',
			mimeType: 'text/csv',
			buffer: Buffer.from(CSV.replaceAll('SHOP', running().shopUrl))
		});
		await page.getByRole('button', { name: 'Import', exact: true }).click();
		await expect(page.getByTestId('import-counts')).toContainText(/2\s*new/);
		await expect(page.getByRole('row', { name: /4 price .*price on request/ })).toBeVisible();
		await page.getByRole('button', { name: 'Done' }).click();
		await page.getByLabel('Category').selectOption({ label: 'Baskets' });
		await expect(page.getByRole('link', { name: /Trug/ })).toHaveCount(2);
	});

	await test.step('write a message with a live value', async () => {
		await page.getByRole('link', { name: 'Library', exact: true }).click();
		await page.getByRole('button', { name: 'New message' }).click();
		await page.getByRole('button', { name: /^Empty/ }).click();
		await page.waitForURL('**/library/new-message');
		await page.getByLabel('Library name').fill('Woven notice');
		await page.getByLabel('What the message says').click();
		await page.keyboard.type('Woven by hand: ');
		await page.getByLabel('Put in a live value').click();
		await page.getByLabel('Search live values').fill('title');
		await page.keyboard.press('Enter');
		await page.keyboard.type('.');
		await expect(page.locator('.live-value')).toHaveText('Product · title');
	});

	await test.step('hang it on a hook of the drawing', async () => {
		await page.getByRole('button', { name: 'Choose where it hangs' }).click();
		await page.getByRole('button', { name: 'above the buy button' }).click();
		await expect(page.getByText('Hangs above the buy button')).toBeVisible();
	});

	await test.step('say which products, and see the number change with every chip', async () => {
		const reach = page.getByTestId('reach');
		await page.getByRole('button', { name: 'Which products' }).click();
		await page.getByRole('button', { name: 'products with …' }).click();
		await page.getByRole('button', { name: 'Add what products have' }).click();
		await page.getByRole('combobox', { name: /Search tags/ }).fill('willow');
		await page.getByRole('option', { name: /^willow/ }).click();
		await expect(reach).toHaveText('2');
		// The picker stays open for several picks.
		await page.getByRole('combobox', { name: /Search tags/ }).fill('Cold frame');
		await page.getByRole('option', { name: /Cold frame 60/ }).click();
		await expect(reach).toHaveText('3');
		await page.getByRole('option', { name: /Cold frame 90/ }).click();
		await expect(reach).toHaveText('4');
		await page.keyboard.press('Escape');
		await page.getByRole('button', { name: 'Add what they never are' }).click();
		await page.getByRole('combobox', { name: /Search tags/ }).fill('made-to-order');
		await page.keyboard.press('Enter');
		await expect(reach).toHaveText('3');
		await page.keyboard.press('Escape');
	});

	await test.step('look at a page that shows it and at one that does not, with the reason', async () => {
		const frame = page.frameLocator('iframe');
		await expect(frame.locator('.anbau-message', { hasText: 'Woven by hand: ' })).toContainText(/Cold frame|Trug/);
		await expect(page.getByRole('heading', { name: 'Why it shows here' })).toBeVisible();
		await page.getByRole('button', { name: /^Not shown/ }).click();
		await expect(page.getByRole('heading', { name: 'Why it does not show here' })).toBeVisible();
		await expect(page.getByText('no tag “willow”')).toBeVisible();
		await expect(frame.locator('h1')).toBeVisible();
		await expect(frame.getByText('Woven by hand')).toHaveCount(0);
		await page.keyboard.press(']');
		await expect(page.getByText(/^2 of /)).toBeVisible();
	});

	await test.step('publish it, and see it in the shop on another origin', async () => {
		await expect(page.getByTestId('saved')).toContainText('saved');
		await page.goto(shopPage('cold-frame-60'));
		await expect(page.getByRole('heading', { name: 'Cold frame 60' })).toBeVisible();
		await expect(page.getByText('Woven by hand')).toHaveCount(0);
		await page.goBack();
		await page.getByRole('button', { name: 'Publish this piece' }).click();
		await expect(page.getByText(/Live as release \d+: 3 pages changed/)).toBeVisible();
		await page.goto(shopPage('cold-frame-60'));
		expect(new URL(page.url()).origin).not.toBe(new URL(running().url).origin);
		await expect(page.locator('.anbau-message', { hasText: 'Woven by hand: Cold frame 60.' })).toBeVisible();
		await page.goto(shopPage('brick-base-cold-frame-kit'));
		await expect(page.getByRole('tab').first()).toBeVisible();
		await expect(page.getByText('Woven by hand')).toHaveCount(0);
	});
});

test('a tab on one product is live in the shop in at most eight clicks from its page', async ({ desk: page }) => {
	let clicks = 0;
	await page.exposeFunction('countClick', () => clicks++);
	await page.addInitScript(() =>
		addEventListener(
			'click',
			(event) => event.isTrusted && (window as unknown as { countClick: () => void }).countClick(),
			true
		)
	);
	await page.goto(`${running().url}/catalog/secateurs-no-4`);
	const began = Date.now();
	await page.getByRole('button', { name: 'New tab just here' }).click();
	await page.getByLabel('Label of tab 1').fill('Spare parts');
	await page.getByLabel(/^What .* says$/).click();
	await page.keyboard.type('Blade, spring and bolt can be ordered one by one.');
	await page.getByRole('button', { name: 'Publish this piece' }).click();
	await expect(page.getByText('1 page changed')).toBeVisible();
	expect(clicks).toBeGreaterThan(2);
	expect(clicks).toBeLessThanOrEqual(8);
	expect(Date.now() - began).toBeLessThan(60_000);

	await page.goto(shopPage('secateurs-no-4'));
	await page.getByRole('tab', { name: 'Spare parts' }).click();
	await expect(page.getByText('Blade, spring and bolt can be ordered one by one.')).toBeVisible();
	await expect(page.getByRole('tab')).toHaveText(['Spare parts', 'Description', 'Details', 'Delivery', 'Reviews']);
	await page.goto(shopPage('hand-trowel-narrow'));
	await expect(page.getByRole('tab').first()).toBeVisible();
	await expect(page.getByRole('tab', { name: 'Spare parts' })).toHaveCount(0);
});

test('what is typed can be undone and redone, and the off switch acts at once', async ({ desk: page }) => {
	await page.goto(`${running().url}/library/peat-free-promise`);
	const body = page.getByLabel('What the message says');
	await body.click();
	await page.keyboard.press('Control+End');
	await page.keyboard.type(' Really.');
	await expect(page.getByTestId('saved')).toHaveText(/^saved \d/);
	await page.keyboard.press('Control+z');
	await expect(body).not.toContainText('Really.');
	await page.keyboard.press('Control+Shift+z');
	await expect(body).toContainText('Really.');
	await page.keyboard.press('Control+z');
	await expect(page.getByText('live', { exact: true })).toBeVisible();

	const shop = await page.context().newPage();
	await shop.goto(shopPage('balcony-planter-sill'));
	await expect(shop.getByText('Peat-free, as everything')).toBeVisible();
	await page.getByRole('checkbox', { name: 'on', exact: true }).click();
	await expect(page.getByRole('checkbox', { name: 'off', exact: true })).toBeVisible();
	await shop.reload();
	await expect(shop.getByRole('tab').first()).toBeVisible();
	await expect(shop.getByText('Peat-free, as everything')).toHaveCount(0);
	await page.getByRole('checkbox', { name: 'off', exact: true }).click();
});

test('two people at the same piece lose nothing', async ({ desk: page, call }) => {
	await page.goto(`${running().url}/library/saving`);
	await expect(page.getByLabel('Library name')).toHaveValue('What you save');
	const theirs = (await (await call('GET', '/pieces/saving')).json()) as object;
	await call('PUT', '/pieces/saving', { ...theirs, name: 'Theirs' });
	await page.getByLabel('Library name').fill('Mine');
	await expect(page.getByRole('alert')).toContainText('changed this piece in the meantime');
	await page.getByRole('button', { name: 'Take theirs' }).click();
	await expect(page.getByLabel('Library name')).toHaveValue('Theirs');
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByLabel('Library name')).toHaveValue('Mine');
	await expect(page.getByTestId('saved')).toHaveText(/^saved/);
	expect(await (await call('GET', '/pieces/saving')).json()).toMatchObject({ name: 'Mine' });
	await call('PUT', '/pieces/saving', theirs);
});
