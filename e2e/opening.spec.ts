import AxeBuilder from '@axe-core/playwright';
import { expect, running, shopPage, test } from './running.js';

const greenhouse = () => shopPage('lindow-greenhouse-6-8');

test('an accordion keeps the keyboard table of the W3C ARIA Authoring Practices, and works without a script', async ({
	page,
	browser
}) => {
	await page.goto(greenhouse());
	const accordion = page.locator('[data-anbau-piece="greenhouse-questions"]');
	const panels = accordion.locator('details');
	const headers = accordion.locator('summary');
	await expect(panels).toHaveCount(3);
	await expect(panels.nth(0)).toHaveAttribute('open');
	// Enter and Space open and close; where one is open at a time, opening it closes the others.
	await headers.nth(1).focus();
	await page.keyboard.press('Enter');
	await expect(panels.nth(1)).toHaveAttribute('open');
	await expect(panels.nth(0)).not.toHaveAttribute('open');
	await page.keyboard.press('Space');
	await expect(panels.nth(1)).not.toHaveAttribute('open');
	// Down and Up Arrow, Home and End move between the headers, round at both ends.
	for (const [key, at] of [
		['ArrowDown', 2],
		['ArrowDown', 0],
		['ArrowUp', 2],
		['Home', 0],
		['End', 2]
	] as const) {
		await page.keyboard.press(key);
		await expect(headers.nth(at)).toBeFocused();
	}
	// Tab reaches every header; each holds a heading.
	await headers.nth(0).focus();
	await page.keyboard.press('Tab');
	await expect(headers.nth(1)).toBeFocused();
	await expect(accordion.getByRole('heading', { name: 'Glass or polycarbonate?' })).toBeVisible();
	// What stands between two panels stands there, and a link opens the panel it names.
	await expect(accordion.getByRole('heading', { name: 'Before you order' })).toBeVisible();
	await page.goto(`${greenhouse()}#tab-greenhouse-questions-help`);
	await expect(accordion.locator('[data-anbau-panel="greenhouse-questions-help"]')).toHaveAttribute('open');

	const bare = await browser.newPage({ javaScriptEnabled: false });
	await bare.setContent(await accordion.innerHTML());
	await bare.locator('summary').first().click();
	await expect(bare.locator('details').first()).toHaveAttribute('open');
	await bare.close();
});

test('a dialog keeps the focus inside, closes by Esc, and gives the focus back', async ({ page }) => {
	await page.goto(greenhouse());
	const opener = page.getByRole('button', { name: 'How freight works' });
	await expect(opener).toHaveAttribute('aria-haspopup', 'dialog');
	await opener.focus();
	await page.keyboard.press('Enter');
	const dialog = page.getByRole('dialog', { name: 'How freight works' });
	await expect(dialog).toBeVisible();
	await expect(dialog.getByRole('listitem').first()).toHaveText('We call you when Lindow greenhouse 6 × 8 is ready.');
	// W3C ARIA Authoring Practices, modal dialog: Tab and Shift Tab never leave it for the page.
	for (const key of ['Tab', 'Tab', 'Tab', 'Shift+Tab', 'Shift+Tab', 'Shift+Tab', 'Shift+Tab']) {
		await page.keyboard.press(key);
		expect(
			await page.evaluate(() => {
				const { activeElement } = document;
				return activeElement === document.body || activeElement?.closest('dialog') !== null;
			})
		).toBe(true);
	}
	expect((await new AxeBuilder({ page }).include('dialog').analyze()).violations).toEqual([]);
	await page.keyboard.press('Escape');
	await expect(dialog).toBeHidden();
	await expect(opener).toBeFocused();
	await opener.click();
	await dialog.getByRole('button', { name: 'Close' }).click();
	await expect(dialog).toBeHidden();
});

test('a bar that was closed stays closed for that visitor until its words change', async ({ page, call }) => {
	await page.goto(shopPage('orchard-bench-two-seat'));
	const bar = page.getByText('our garden is open on Saturday');
	await expect(bar).toBeVisible();
	await page.locator('[data-anbau-piece="open-saturday"]').getByRole('button', { name: 'Close' }).click();
	await expect(bar).toBeHidden();
	await page.goto(shopPage('orchard-bench-three-seat'));
	await expect(page.getByRole('tab').first()).toBeVisible();
	await expect(bar).toHaveCount(0);
	const piece = (await (await call('GET', '/pieces/open-saturday')).json()) as object;
	await call('PUT', '/pieces/open-saturday', { ...piece, body: { markdown: 'We are open on **Sunday** too.' } });
	await call('POST', '/publish', { pieces: ['open-saturday'] });
	await page.reload();
	await expect(page.getByText('open on Sunday too')).toBeVisible();
});

test('the page’s own price and stock win over what Anbau knows', async ({ page, call }) => {
	const key = 'lindow-greenhouse-6-8';
	await page.goto(shopPage(key));
	const saving = page.locator('[data-anbau-piece="saving"]');
	// The shop's JSON-LD says 1149.00; Anbau is told otherwise.
	await call('PATCH', `/products/${key}`, { price: '1200.00', listPrice: '1299.00' });
	await page.reload();
	await expect(saving).toContainText('You save €150.00 (11%)');
	await call('PATCH', `/products/${key}`, { price: '1000.00', listPrice: '1149.00' });
	await page.reload();
	await expect(page.getByRole('tab').first()).toBeVisible();
	await expect(saving).toHaveCount(0);
	await call('PATCH', `/products/${key}`, { price: '1149.00', listPrice: '1299.00' });
});

test('a row of pictures is leafed through by its buttons and by the keyboard', async ({ page, call }) => {
	const pictures = ['apple-copperleaf', 'lindow-greenhouse-6-8', 'carrot-amber-row', 'spade'].map((key) => ({
		src: `${running().shopUrl}/images/${key}.svg`,
		alt: key
	}));
	const body = { type: 'doc', content: [{ type: 'pictureRow', attrs: { pictures } }] };
	const target = { field: 'product', operator: 'in', value: ['tree-seat-half-round'] };
	const piece = { kind: 'message', name: 'Pictures', body, target, placements: [{ hook: 'above-buy' }] };
	await call('PUT', '/pieces/pictures', piece);
	await call('POST', '/publish', { pieces: ['pictures'] });
	await page.goto(shopPage('tree-seat-half-round'));
	const row = page.getByRole('group', { name: 'Pictures' });
	const scrolled = () => row.evaluate((element) => element.scrollLeft);
	await page.getByRole('button', { name: 'Next picture' }).click();
	await expect.poll(scrolled).toBeGreaterThan(50);
	await page.getByRole('button', { name: 'Previous picture' }).click();
	await expect.poll(scrolled).toBe(0);
	await row.focus();
	await page.keyboard.press('ArrowRight');
	await expect.poll(scrolled).toBeGreaterThan(0);
	await call('DELETE', '/pieces/pictures');
	await call('POST', '/publish', { pieces: ['pictures'] });
});

test('a foreign snippet runs, and knows nothing of the shop', async ({ page, call }) => {
	const code =
		'<p id="p">waiting</p><script>let cookie = "none"; try { cookie = document.cookie || "none" } catch { cookie = "refused" } document.getElementById("p").textContent = `origin ${self.origin}, cookies ${cookie}, shop ${(() => { try { return top.document.title } catch { return "refused" } })()}`</script>';
	const body = { type: 'doc', content: [{ type: 'snippet', attrs: { title: 'Counter of others', code, height: 80 } }] };
	const target = { field: 'product', operator: 'in', value: ['folding-bench-lock'] };
	await call('PUT', '/pieces/foreign', {
		kind: 'message',
		name: 'Foreign',
		body,
		target,
		placements: [{ hook: 'above-buy' }]
	});
	await call('POST', '/publish', { pieces: ['foreign'] });
	await page.goto(shopPage('folding-bench-lock'));
	const frame = page.frameLocator('iframe[title="Counter of others"]');
	await expect(frame.locator('#p')).toHaveText('origin null, cookies refused, shop refused');
	await call('DELETE', '/pieces/foreign');
	await call('POST', '/publish', { pieces: ['foreign'] });
	const src = `${running().url}/live/v1/${running().storeKey}/snippets/${'0'.repeat(32)}`;
	expect((await page.request.get(src)).status()).toBe(404);
});
