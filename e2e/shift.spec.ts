import type { Page } from '@playwright/test';
import { expect, running, test } from './running.js';

/** Layout shifts as the browser counts them, and how many of them moved anything of Anbau's or what is beside it. */
async function shiftOf(page: Page, address: string): Promise<number> {
	await page.goto(address);
	await page.waitForLoadState('networkidle');
	await page.waitForTimeout(300);
	return page.evaluate(
		() =>
			new Promise<number>((resolve) => {
				new PerformanceObserver((list) => {
					const entries = list.getEntries() as (PerformanceEntry & { value: number; hadRecentInput: boolean })[];
					resolve(entries.reduce((sum, { value, hadRecentInput }) => (hadRecentInput ? sum : sum + value), 0));
				}).observe({ type: 'layout-shift', buffered: true });
				// A page without any shift has no entry to tell of.
				setTimeout(() => resolve(0), 300);
			})
	);
}

/** What the web's vitals call good; common practice, no source in a standard. */
const GOOD = 0.1;

for (const theme of ['', '/meadow']) {
	test(`pages of the ${theme ? 'second' : 'first'} theme hold still, with a cold cache and with a warm one`, async ({
		browser
	}) => {
		const measured: Record<string, [cold: number, warm: number]> = {};
		for (const key of ['lindow-greenhouse-6-8', 'carrot-amber-row', 'apple-hollowmere-russet']) {
			const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
			const page = await context.newPage();
			const address = `${running().shopUrl}${theme}/products/${key}`;
			measured[key] = [await shiftOf(page, address), await shiftOf(page, address)];
			await context.close();
		}
		console.log(`layout shift, cold and warm, ${theme || 'first theme'}: ${JSON.stringify(measured)}`);
		for (const [key, [cold, warm]] of Object.entries(measured)) {
			expect(cold, `${key}, cold`).toBeLessThanOrEqual(GOOD);
			expect(warm, `${key}, warm`).toBeLessThanOrEqual(GOOD);
		}
	});
}
