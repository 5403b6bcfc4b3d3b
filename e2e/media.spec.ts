import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Page } from '@playwright/test';
import { expect, running, shopPage, test } from './running.js';

const greenhouse = 'lindow-greenhouse-6-8';
const films = join(import.meta.dirname, '../demo/films');

/** What a page asks of the media host. */
function askedOf(page: Page): string[] {
	const asked: string[] = [];
	page.on('request', (request) => {
		if (request.url().startsWith(running().mediaUrl)) asked.push(new URL(request.url()).pathname);
	});
	return asked;
}

for (const theme of ['', '/meadow']) {
	test(`a foreign frame loads after a click and nothing before, and remembers who always wants it${theme}`, async ({
		page
	}) => {
		const asked = askedOf(page);
		await page.goto(`${running().shopUrl}${theme}/products/${greenhouse}#tab-assembly-film`);
		const frame = page.locator('.anbau-frame');
		await frame.scrollIntoViewIfNeeded();
		await page.waitForLoadState('networkidle');
		expect(asked).toEqual([]);
		await frame.getByRole('checkbox').check();
		await frame.getByRole('button', { name: 'Show “The way to the nursery”' }).click();
		await expect(page.frameLocator('.anbau-frame iframe').getByText('Hollowmere')).toBeVisible();
		expect(asked).toEqual(['/map/nursery']);
		const [box, column] = [await frame.boundingBox(), await frame.locator('..').boundingBox()];
		expect((box?.width ?? 0) / (box?.height ?? 1)).toBeCloseTo(16 / 9, 1);
		expect(box?.width).toBeLessThanOrEqual(column?.width ?? 0);
		await page.reload();
		await expect(page.frameLocator('.anbau-frame iframe').getByText('Hollowmere')).toBeVisible();
	});
}

test('films play with captions, one at a time; one that loops asks for the motion setting', async ({ browser }) => {
	const page = await browser.newPage();
	await page.goto(`${shopPage(greenhouse)}#tab-assembly-film`);
	const film = page.locator('.anbau-film video:not(#second)');
	await film.evaluate((video: HTMLVideoElement) => video.play());
	await expect.poll(() => film.evaluate((video: HTMLVideoElement) => video.currentTime)).toBeGreaterThan(0.6);
	expect(await film.evaluate((video: HTMLVideoElement) => video.textTracks[0]?.cues?.length)).toBe(5);
	// Another film begins: the first one stops.
	await film.evaluate((video) => video.after(Object.assign(video.cloneNode(true), { id: 'second' })));
	await page.locator('#second').evaluate((video: HTMLVideoElement) => video.play());
	await expect.poll(() => film.evaluate((video: HTMLVideoElement) => video.paused)).toBe(true);

	const paused = async (motion: 'reduce' | 'no-preference') => {
		await page.emulateMedia({ reducedMotion: motion });
		await page.goto(`${shopPage('carrot-amber-row')}?${motion}`);
		const loop = page.locator('.anbau-film video[loop]');
		await loop.scrollIntoViewIfNeeded();
		await page.waitForTimeout(500);
		return loop.evaluate((video: HTMLVideoElement) => video.paused);
	};
	expect(await paused('no-preference')).toBe(false);
	expect(await paused('reduce')).toBe(true);
	await page.close();
});

test('each product shows its own film from its attribute, and nothing where there is none', async ({ page }) => {
	await page.goto(shopPage('apple-hollowmere-russet'));
	await expect(page.getByLabel('A film of Apple ‘Hollowmere Russet’')).toBeVisible();
	await page.goto(shopPage('hornbeam-hedging-60-80-cm'));
	await expect(page.getByRole('tab').first()).toBeVisible();
	await expect(page.locator('.anbau-film')).toHaveCount(0);
});

for (const theme of ['', '/meadow'])
	test(`nothing of media and reviews widens a page${theme}`, async ({ page }) => {
		for (const width of [390, 1280])
			for (const path of [`${greenhouse}#tab-assembly-film`, `${greenhouse}#tab-reviews`, 'apple-hollowmere-russet']) {
				await page.setViewportSize({ width, height: 800 });
				await page.goto('about:blank');
				await page.goto(`${running().shopUrl}${theme}/products/${path}`);
				await expect(page.locator('.anbau-rating, .anbau-film').first()).toBeVisible();
				expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(width);
			}
	});

test('a film that broke off on its way goes on, is judged, and gives a frame as its still picture', async ({
	desk: page
}) => {
	await page.goto(`${running().url}/media`);
	let isAway = true;
	await page.route('**/api/v1/media/uploads/**', (route) =>
		isAway && route.request().method() === 'PATCH' ? route.abort() : route.continue()
	);
	// A film of its own: a box that players skip makes its bytes others than the demo's.
	const film = Buffer.concat([readFileSync(join(films, 'planting.mp4')), Buffer.from('\0\0\0\x0cfreee2e!', 'latin1')]);
	await page
		.locator('main > div input[type=file]')
		.setInputFiles({ name: 'planting-again.mp4', mimeType: 'video/mp4', buffer: film });
	await expect(page.getByRole('alert')).toContainText('It broke off', { timeout: 20_000 });
	isAway = false;
	await page.getByRole('button', { name: 'Go on' }).click();
	const card = page.getByRole('listitem').filter({ has: page.getByLabel('Name of planting-again.mp4') });
	await expect(card.getByText('plays everywhere')).toBeVisible();
	await expect(card.getByText('960 × 540, 0:08, H.264, 20 fps, no sound')).toBeVisible();
	await expect
		.poll(() => card.locator('video').evaluate((video: HTMLVideoElement) => video.readyState))
		.toBeGreaterThan(1);
	await card.getByRole('button', { name: 'Still picture: this frame' }).click();
	await expect(card.locator('video')).toHaveAttribute('poster', /\/media\/.*\.jpg$/);
	await expect(page.getByLabel('Name of Still of planting-again.jpg')).toBeVisible();
});

test('an embed code leaves its frame and says what fell away; its host is let in with a click; a link is described', async ({
	desk: page,
	call
}) => {
	await call('PUT', '/pieces/a-frame', { kind: 'media', name: 'A frame', settings: { type: 'embed' } });
	await page.goto(`${running().url}/library/a-frame`);
	const paste = page.getByLabel('Paste its address');
	await paste.fill(
		`<iframe src="https://forms.example/7" width="600" height="400"></iframe><script src="https://count.example/t.js"></script>`
	);
	await page.getByRole('button', { name: 'Take it' }).click();
	await expect(page.getByText('What fell away: a script of count.example.')).toBeVisible();
	await expect(page.getByRole('textbox', { name: 'Address', exact: true })).toHaveValue('https://forms.example/7');
	await expect(page.getByLabel('Shape, width to height')).toHaveValue('600:400');
	await page.getByRole('button', { name: 'Let forms.example in' }).click();
	await expect(page.getByText('are not let into the shop')).toHaveCount(0);

	const host = running().mediaUrl;
	await paste.fill(`${host}/watch/pruning-in-february`);
	await page.getByRole('button', { name: 'Take it' }).click();
	await expect(page.getByRole('textbox', { name: 'What it is, on its button' })).toHaveValue('Pruning in February');
	await expect(page.getByRole('textbox', { name: 'Address', exact: true })).toHaveValue(
		`${host}/frame/pruning-in-february`
	);
	await expect(page.getByRole('textbox', { name: 'Still picture until it is asked for' })).toHaveValue(/^media:/);
	await paste.fill(`${host}/members/nursery`);
	await page.getByRole('button', { name: 'Take it' }).click();
	await expect(page.getByRole('alert')).toContainText('Mossgate Members wants a key; put it under Store');
	await paste.fill(`${host}/watch/gone`);
	await page.getByRole('button', { name: 'Take it' }).click();
	await expect(page.getByRole('alert')).toContainText('has nothing at this address');

	await page.goto(`${running().url}/store`);
	await page.getByLabel('Its key, sent as “access_key”').fill('mossgate');
	await page.getByLabel('Its key, sent as “access_key”').blur();
	await expect
		.poll(async () => (await call('POST', '/media/links', { url: `${host}/members/nursery` })).status())
		.toBe(200);
	await call('DELETE', '/pieces/a-frame');
});
