// @ts-check
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Cluster } from './cluster.mjs';

/** Starts a PostgreSQL cluster for a run of tests, and takes it away again. */
export default async function setup() {
	const folder = mkdtempSync(join(tmpdir(), 'anbau-test-'));
	const cluster = new Cluster(join(folder, 'postgres'));
	process.env.DATABASE_URL = await cluster.start();
	return async () => {
		await cluster.stop();
		rmSync(folder, { recursive: true, force: true });
	};
}
