import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startAll } from '../scripts/lib/startAll.mjs';
import { freePort } from '../scripts/lib/system.mjs';

/** Starts the whole product with fresh data on free ports for a run of tests, by the same road as `npm start`. */
export default async function start(): Promise<() => Promise<void>> {
	const folder = mkdtempSync(join(tmpdir(), 'anbau-e2e-'));
	process.env.ANBAU_DATA = folder;
	process.env.ANBAU_PORT = String(await freePort());
	process.env.ANBAU_SHOP_PORT = String(await freePort());
	process.env.ANBAU_MEDIA_PORT = String(await freePort());
	const { running, stop } = await startAll();
	process.env.RUNNING = JSON.stringify(running);
	return async () => {
		await stop();
		rmSync(folder, { recursive: true, force: true });
	};
}
