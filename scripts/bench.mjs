// @ts-check
import { ensureBuild, ensurePackages } from './lib/prepare.mjs';
import { Advice, run } from './lib/system.mjs';
import startTestDatabase from './lib/testDatabase.mjs';

/** Measures speed and size as ratios against references in the same run; prints a table and writes bench/results.json. */
try {
	ensurePackages();
	ensureBuild();
	const stop = await startTestDatabase();
	try {
		console.log(run('node', ['--max-semi-space-size=64', '--import', 'tsx', 'bench/bench.ts'], 'The bench'));
	} finally {
		await stop();
	}
} catch (error) {
	if (!(error instanceof Advice)) throw error;
	console.error(`\n${error.message}\n`);
	process.exit(1);
}
