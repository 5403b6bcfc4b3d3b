import { spawn, type ChildProcess } from 'node:child_process';
import { chmodSync, mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect } from '@playwright/test';
import { freePort } from '../scripts/lib/system.mjs';

/** A start of the product in a process of its own, with its own data and ports. */
class Start {
	private child: ChildProcess | null = null;
	said = '';

	constructor(private readonly env: Record<string, string>) {}

	/** Starts, and waits until it says that it runs, or ends. */
	async begin(): Promise<number | null> {
		const child = spawn('node', ['scripts/start.mjs'], {
			cwd: join(import.meta.dirname, '..'),
			env: { ...process.env, ...this.env }
		});
		this.child = child;
		this.said = '';
		return new Promise((resolve) => {
			const hear = (chunk: Buffer) => {
				this.said += String(chunk);
				if (this.said.includes('Anbau is running')) resolve(null);
			};
			child.stdout.on('data', hear);
			child.stderr.on('data', hear);
			child.once('exit', (code) => resolve(code ?? -1));
		});
	}

	async end(signal: 'SIGTERM' | 'SIGINT' | 'SIGKILL'): Promise<number | null> {
		const { child } = this;
		if (!child || child.exitCode !== null) return child?.exitCode ?? null;
		const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
		child.kill(signal);
		return ended;
	}
}

const test = base.extend<{ start: Start; folder: string; env: Record<string, string> }>({
	folder: async ({ browserName: _ }, use) => {
		const folder = mkdtempSync(join(tmpdir(), 'anbau-start-'));
		chmodSync(folder, 0o755);
		await use(folder);
		rmSync(folder, { recursive: true, force: true });
	},
	env: async ({ folder }, use) => {
		const [app, shop, media] = [await freePort(), await freePort(), await freePort()];
		await use({
			ANBAU_DATA: folder,
			ANBAU_PORT: String(app),
			ANBAU_SHOP_PORT: String(shop),
			ANBAU_MEDIA_PORT: String(media)
		});
	},
	start: async ({ env }, use) => {
		const start = new Start(env);
		await use(start);
		await start.end('SIGTERM');
	}
});

const isOpen = async (url: string) =>
	fetch(url).then(
		() => true,
		() => false
	);

test('a start prints its addresses, survives a kill -9 without losing a saved piece, and stops cleanly', async ({
	start,
	folder,
	env
}) => {
	test.setTimeout(180_000);
	expect(await start.begin(), start.said).toBeNull();
	const file = join(folder, 'running.json');
	expect(statSync(file).mode & 0o777).toBe(0o600);
	const running = JSON.parse(readFileSync(file, 'utf8')) as { url: string; shopUrl: string; apiKey: string };
	expect(Object.keys(running)).toEqual(['url', 'shopUrl', 'storeKey', 'apiKey', 'visitorSecret', 'email', 'password']);
	expect(start.said).toContain(running.url);
	const headers = { authorization: `Bearer ${running.apiKey}` };
	const piece = `${running.url}/api/v1/pieces/kept`;
	const saved = await fetch(piece, {
		method: 'PUT',
		headers,
		body: JSON.stringify({ kind: 'message', name: 'Kept', body: { markdown: 'x' } })
	});
	expect(saved.status).toBe(200);

	const second = new Start(env);
	expect(await second.begin()).toBe(1);
	expect(second.said).toContain(`Anbau already runs at ${running.url}`);

	await start.end('SIGKILL');
	await expect.poll(() => isOpen(running.url), { timeout: 10_000 }).toBe(false);
	expect(await start.begin(), start.said).toBeNull();
	expect(await (await fetch(piece, { headers })).json()).toMatchObject({ name: 'Kept' });

	expect(await start.end('SIGINT')).toBe(0);
	for (const url of [running.url, running.shopUrl]) expect(await isOpen(url)).toBe(false);
	const pid = join(folder, 'postgres', 'data', 'postmaster.pid');
	expect(() => statSync(pid)).toThrow();
});

test('with the database away the storefront goes on from memory, and the owner is told that nothing is saved', async ({
	start,
	folder
}) => {
	test.setTimeout(120_000);
	expect(await start.begin(), start.said).toBeNull();
	const running = JSON.parse(readFileSync(join(folder, 'running.json'), 'utf8')) as Record<string, string>;
	const live = `${running.url}/live/v1/${running.storeKey}/page?kind=product&id=cold-frame-60`;
	const before = await (await fetch(live)).text();
	expect(before).toContain('makers-part');
	const [postmaster] = readFileSync(join(folder, 'postgres', 'data', 'postmaster.pid'), 'utf8').split('\n');
	process.kill(Number(postmaster), 'SIGKILL');
	await expect.poll(() => pieceStatus(running), { timeout: 20_000 }).toBe(503);
	expect(await (await fetch(live)).text()).toBe(before);
	const saved = await savePiece(running);
	expect(saved.status).toBe(503);
	expect(await saved.json()).toMatchObject({
		type: 'urn:anbau:problem:database-away',
		title: expect.stringContaining('cannot reach its database') as unknown
	});
	const screen = await fetch(`${running.url}/library`, { headers: { cookie: 'anbau_session=x' } });
	expect([screen.status, await screen.text()]).toEqual([503, expect.stringContaining('cannot reach its database')]);
});

const key = (running: Record<string, string>) => ({ authorization: `Bearer ${running.apiKey}` });
const pieceStatus = async (running: Record<string, string>) =>
	(await fetch(`${running.url}/api/v1/pieces`, { headers: key(running) })).status;
const savePiece = (running: Record<string, string>) =>
	fetch(`${running.url}/api/v1/pieces/away`, {
		method: 'PUT',
		headers: key(running),
		body: JSON.stringify({ kind: 'message', name: 'Away', body: { markdown: 'x' } })
	});

test('a port in use is a sentence that says what to do', async ({ start, env }) => {
	const other = createServer().listen(Number(env.ANBAU_SHOP_PORT), '127.0.0.1');
	expect(await start.begin()).toBe(1);
	expect(start.said).toContain(`Port ${env.ANBAU_SHOP_PORT}, meant for the demo shop, is in use`);
	expect(start.said).toContain('ANBAU_SHOP_PORT=');
	expect(start.said).not.toContain(' at ');
	other.close();
});

test('damaged database files are a sentence that says what to do', async ({ start, folder }) => {
	test.setTimeout(120_000);
	expect(await start.begin(), start.said).toBeNull();
	await start.end('SIGTERM');
	writeFileSync(join(folder, 'postgres', 'data', 'global', 'pg_control'), 'broken');
	expect(await start.begin()).toBe(1);
	expect(start.said).toMatch(/The database in .* does not start/);
	expect(start.said).toContain('move that folder away');
});
