// @ts-check
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensurePackages, ROOT } from './lib/prepare.mjs';
import { startAll } from './lib/startAll.mjs';
import { Advice, ensureChromium } from './lib/system.mjs';

/** Makes the pictures of docs/screenshots anew, from a fresh demo. */
const folder = mkdtempSync(join(tmpdir(), 'anbau-pictures-'));
try {
	ensurePackages();
	const { chromium } = await import('@playwright/test');
	// The usual ports, so that the addresses in the pictures are those of the README.
	process.env.ANBAU_DATA = folder;
	const { running, stop } = await startAll();
	const browser = await chromium.launch({
		executablePath: ensureChromium(),
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run']
	});
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		const take = async (/** @type {string} */ name) => {
			await page.waitForLoadState('networkidle');
			await page.waitForTimeout(600);
			await page.screenshot({ path: join(ROOT, 'docs', 'screenshots', `${name}.png`) });
		};
		const go = (/** @type {string} */ path) => page.goto(running.url + path);
		await go('/sign-in');
		await page.getByRole('button', { name: 'Sign in as the demo owner' }).click();
		await page.waitForURL('**/library');
		await take('library');
		await go('/library/made-to-order-notice?product=lindow-greenhouse-6-8');
		await take('workbench-shown');
		await page.getByRole('button', { name: /^Not shown/ }).click();
		await take('workbench-not-shown');
		await go('/library/lead-time?product=lindow-greenhouse-6-8');
		await page.getByLabel('What the message says').click();
		await page.waitForTimeout(200);
		await page.keyboard.press('Control+End');
		await page.keyboard.press('Enter');
		await page.keyboard.type('/');
		await page.getByRole('listbox', { name: 'Parts to put in' }).waitFor();
		await take('editor');
		await page.keyboard.press('Escape');
		await page.keyboard.press('Control+z');
		await page.keyboard.press('Control+z');
		await page
			.getByTestId('saved')
			.getByText(/^saved \d/)
			.waitFor();
		await page.request.post(`${running.url}/api/v1/hooks/look`);
		await go('/plan?product=lindow-greenhouse-6-8&hook=above-buy');
		await page.locator('[data-label]').first().waitFor();
		await take('plan');
		await go('/plan?product=ashlap-cedar-greenhouse&hook=below-tabs');
		await page.getByRole('button', { name: 'On this product: Greenhouse questions' }).click();
		await page.getByRole('button', { name: /^Own text here: What does it stand on/ }).click();
		await take('exception');
		await go('/hooks?hook=below-price');
		await page
			.getByText(/sample pages/)
			.last()
			.waitFor();
		await take('hooks');
		// A film by the brand of QuickTime, which not every browser plays.
		const film = readFileSync(join(ROOT, 'demo/films/planting.mp4'));
		film.write('qt  ', 8, 'latin1');
		await page.request.post(`${running.url}/api/v1/media?name=from-the-phone.mov`, { data: film });
		await go('/media');
		await take('media');
		await go('/attributes');
		await page.getByLabel('Category').selectOption('seeds');
		await page.locator('.rgCell[data-rgcol="0"]').nth(4).waitFor();
		await take('sheet');
		await go('/reviews');
		await page.locator('canvas').first().waitFor();
		await take('reviews');
		await go('/catalog?category=greenhouses-and-frames');
		await take('catalog');
		await go('/catalog/lindow-greenhouse-6-8');
		await take('product');
		await go('/library/bee-friendly');
		await page.getByLabel('What the message says').click();
		await page.keyboard.press('Control+End');
		await page.keyboard.type(' Bumblebees too.');
		await page
			.getByTestId('saved')
			.getByText(/^saved \d/)
			.waitFor();
		await go('/releases');
		await take('releases');
		await go('/store');
		await take('store');
		await page.goto(`${running.shopUrl}/products/lindow-greenhouse-6-8`);
		await take('shop');
		await page.getByRole('link', { name: /\d+ reviews/ }).click();
		await page.getByRole('article').first().waitFor();
		await take('shop-reviews');
		await page.getByRole('tab', { name: 'Assembly film' }).click();
		await page.getByRole('heading', { name: 'See one that stands' }).scrollIntoViewIfNeeded();
		await page.mouse.wheel(0, 120);
		// The browser's player shows for a moment that it looks at the film.
		await page.waitForTimeout(3000);
		await take('shop-film');
		await page.goto(`${running.shopUrl}/meadow/products/lindow-greenhouse-6-8`);
		await take('shop-second');
		const link = await page.request.post(`${running.url}/api/v1/hooks/link?product=lindow-greenhouse-6-8`);
		await page.goto('about:blank');
		await page.goto((await link.json()).url);
		await page.getByText(/hooks are on this page/).waitFor();
		await take('shop-hooks');
	} finally {
		await browser.close();
		await stop();
	}
} catch (error) {
	if (!(error instanceof Advice)) throw error;
	console.error(`\n${error.message}\n`);
	process.exitCode = 1;
} finally {
	rmSync(folder, { recursive: true, force: true });
}
process.exit();
