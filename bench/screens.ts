import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { startAll } from '../scripts/lib/startAll.mjs';
import { ensureChromium, freePort } from '../scripts/lib/system.mjs';
import { median, type Result } from './measure.js';
import { planRedraws } from './plan.js';
import { rangesAgainstNginx, uploadMemory } from './watching.js';

const PRODUCTS = 100_000;
const ATTRIBUTES = 30;

/** The screens in Chromium, over a catalogue of 100,000 products with 30 attributes. */
export async function benchScreens(): Promise<Result[]> {
	const folder = mkdtempSync(join(tmpdir(), 'anbau-bench-'));
	process.env.ANBAU_DATA = folder;
	process.env.ANBAU_PORT = String(await freePort());
	process.env.ANBAU_SHOP_PORT = String(await freePort());
	process.env.ANBAU_MEDIA_PORT = String(await freePort());
	const { running, stop } = await startAll();
	const browser = await chromium.launch({
		executablePath: ensureChromium(),
		args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run']
	});
	try {
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		// tsx names functions by a helper that the browser does not have.
		await page.addInitScript({ content: 'globalThis.__name = (value) => value' });
		await page.goto(`${running.url}/sign-in`);
		await page.getByRole('button', { name: 'Sign in as the demo owner' }).click();
		await page.waitForURL('**/library');
		const media = [
			await rangesAgainstNginx(running.url, running.apiKey),
			await uploadMemory(running.url, running.apiKey)
		];
		const plan = await planRedraws(page, running.url, running.apiKey);
		await fill(running.url, running.apiKey);
		return [...media, plan, await scrolling(page, running.url), await typing(page, running.url)];
	} finally {
		await browser.close();
		await stop();
		rmSync(folder, { recursive: true, force: true });
	}
}

async function fill(url: string, key: string): Promise<void> {
	const codes = Array.from({ length: ATTRIBUTES }, (_, i) => `measure_${i + 1}`);
	const send = async (path: string, body: string, type: string) => {
		const headers = { authorization: `Bearer ${key}`, 'content-type': type };
		const response = await fetch(`${url}/api/v1${path}`, { method: 'PUT', headers, body });
		if (!response.ok) throw new Error(`${path} answered ${response.status}: ${await response.text()}`);
	};
	for (const code of codes) {
		await send(
			`/attributes/${code}`,
			JSON.stringify({ label: code.replace('_', ' '), type: 'number' }),
			'application/json'
		);
	}
	const lines = [`key,title,categories,${codes.map((code) => `attribute.${code}`).join(',')}`];
	for (let i = 0; i < PRODUCTS; i++) {
		lines.push(
			`m${i},Product number ${i},Many > Part ${i % 50},${codes.map((_, at) => (i * 7 + at * 13) % 997).join(',')}`
		);
	}
	await send('/catalog', `${lines.join('\n')}\n`, 'text/csv');
}

const SECONDS = 5;

/** Frames dropped while the sheet scrolls: those that take more than one and a half times an idle frame of this page. */
async function scrolling(page: Page, url: string): Promise<Result> {
	await page.goto(`${url}/attributes`);
	const rows = new Intl.NumberFormat('en').format(PRODUCTS + 221);
	await page.getByTestId('sheet-state').getByText(`${rows} rows`).waitFor({ timeout: 120_000 });
	await page.waitForTimeout(2000);
	const idle = median(await frames(page, () => page.waitForTimeout(1000)));
	await page.mouse.move(800, 400);
	const scrolled = await frames(page, async () => {
		const end = Date.now() + SECONDS * 1000;
		for (let turn = 0; Date.now() < end; turn++) {
			await page.mouse.wheel(turn % 40 === 0 ? 300 : 0, turn % 400 < 200 ? 120 : -90);
			await page.waitForTimeout(12);
		}
	});
	const dropped = scrolled.reduce((sum, frame) => sum + Math.max(0, Math.round(frame / idle) - 1), 0);
	const shown = scrolled.length;
	const ratio = dropped / (shown + dropped);
	return {
		what: `frames dropped while the sheet of ${PRODUCTS} × ${ATTRIBUTES} scrolls, of all in ${SECONDS} s (an idle frame takes ${idle.toFixed(1)} ms)`,
		ours: dropped,
		reference: shown + dropped,
		unit: 'frames',
		ratio,
		goal: 'at most 1 in 20',
		kept: ratio <= 0.05
	};
}

/** How long each frame took while something was done. */
async function frames(page: Page, work: () => Promise<void>): Promise<number[]> {
	await page.evaluate(() => {
		const times: number[] = [];
		const note = (time: number) => {
			times.push(time);
			Object.assign(window, { times, frame: requestAnimationFrame(note) });
		};
		requestAnimationFrame(note);
	});
	await work();
	const times = await page.evaluate(() => {
		const held = window as unknown as { times: number[]; frame: number };
		cancelAnimationFrame(held.frame);
		return held.times;
	});
	return times.slice(1).map((time, i) => time - (times[i] ?? time));
}

const STROKES = 40;
const GOAL = 100;

/** From a keystroke in the editor to the preview that shows it. */
async function typing(page: Page, url: string): Promise<Result> {
	await page.goto(`${url}/library/made-to-order-notice?product=lindow-greenhouse-6-8`);
	await page.frameLocator('iframe').locator('.anbau-message').first().waitFor();
	await page.waitForTimeout(2000);
	await page.evaluate(() => {
		const taken: number[] = [];
		Object.assign(window, { taken });
		let pressed = 0;
		addEventListener('keydown', () => (pressed = performance.now()), true);
		addEventListener('message', ({ data }: MessageEvent<{ anbau?: string }>) => {
			if (data.anbau !== 'shown' || pressed === 0) return;
			taken.push(performance.now() - pressed);
			pressed = 0;
		});
	});
	await page.getByLabel('What the message says').click();
	await page.keyboard.press('Control+End');
	for (let i = 0; i < STROKES; i++) {
		await page.keyboard.type('abcdefgh '[i % 9] ?? 'a');
		await page.waitForTimeout(150);
	}
	const taken = await page.evaluate(() => (window as unknown as { taken: number[] }).taken);
	if (taken.length < STROKES * 0.9)
		throw new Error(`the preview followed only ${taken.length} of ${STROKES} keystrokes`);
	const worst = [...taken].sort((a, b) => a - b)[Math.floor(taken.length * 0.95)] ?? Infinity;
	return {
		what: `a keystroke reaches the preview (19 of 20 within this; the middle ${median(taken).toFixed(0)} ms)`,
		ours: worst,
		reference: null,
		unit: 'ms',
		ratio: null,
		goal: `under ${GOAL} ms`,
		kept: worst < GOAL
	};
}
