// @ts-check
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, ensurePackages, ROOT } from './lib/prepare.mjs';
import { Advice, ensureChromium, ensureFfmpeg, ensurePostgres } from './lib/system.mjs';

/** Everything that must hold: format, lint, types, arrows, dead code, unit and database tests, and the built product in a browser. */

/**
 * What the two runners write of a run.
 * @typedef {{ success: boolean, numPassedTests: number, numFailedTests: number, stats: { expected: number, unexpected: number, flaky: number, skipped: number } }} Report
 */

/** @type {{ name: string, passed: number, failed: number }[]} */
const results = [];

/** Runs a command with its output shown; answers whether it succeeded.
 * @param {string} command
 * @param {string[]} args
 * @param {NodeJS.ProcessEnv} [env]
 */
function run(command, args, env = {}) {
	return new Promise((resolve) => {
		const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
		child.once('exit', (code) => resolve(code === 0));
		child.once('error', () => resolve(false));
	});
}

/** A check that passes or fails as one.
 * @param {string} name
 * @param {string[]} args
 */
async function check(name, args) {
	console.log(`\n— ${name}`);
	const passed = await run('npm', ['run', '--silent', ...args]);
	results.push({ name, passed: passed ? 1 : 0, failed: passed ? 0 : 1 });
}

/** A runner that counts its tests in a JSON file.
 * @param {string} name
 * @param {string[]} args
 * @param {string} file
 * @param {(report: Report) => { passed: number, failed: number }} read
 * @param {NodeJS.ProcessEnv} [env]
 */
async function suite(name, args, file, read, env) {
	console.log(`\n— ${name}`);
	const succeeded = await run('npx', args, env);
	const counts = counted(file, read);
	if (!succeeded && counts.failed === 0) counts.failed = 1;
	results.push({ name, ...counts });
}

/**
 * @param {string} file
 * @param {(report: Report) => { passed: number, failed: number }} read
 */
function counted(file, read) {
	try {
		return read(JSON.parse(readFileSync(file, 'utf8')));
	} catch {
		return { passed: 0, failed: 1 };
	}
}

const folder = mkdtempSync(join(tmpdir(), 'anbau-results-'));
try {
	ensurePostgres();
	ensureFfmpeg();
	const chromium = ensureChromium();
	ensurePackages();
	ensureBuild();
	await check('Format', ['format:check']);
	await check('Lint', ['lint']);
	await check('Types', ['check']);
	await check('Arrows between workspaces', ['arrows']);
	await check('Dead code', ['dead']);
	const vitest = join(folder, 'vitest.json');
	await suite(
		'Unit and database tests',
		['vitest', 'run', '--reporter=default', '--reporter=json', `--outputFile=${vitest}`],
		vitest,
		(report) => ({
			passed: report.numPassedTests,
			failed: report.numFailedTests + (report.success ? 0 : report.numFailedTests === 0 ? 1 : 0)
		})
	);
	const e2e = join(folder, 'e2e.json');
	await suite(
		'The built product in Chromium',
		['playwright', 'test', '-c', 'e2e/playwright.config.ts'],
		e2e,
		(report) => ({
			passed: report.stats.expected,
			failed: report.stats.unexpected + report.stats.flaky + report.stats.skipped
		}),
		{ E2E_JSON: e2e, CHROMIUM: chromium }
	);
} catch (error) {
	if (!(error instanceof Advice)) throw error;
	console.error(`\n${error.message}\n`);
	results.push({ name: 'Preparation', passed: 0, failed: 1 });
} finally {
	rmSync(folder, { recursive: true, force: true });
}

console.log('');
for (const { name, passed, failed } of results)
	console.log(`${failed === 0 ? 'ok  ' : 'FAIL'} ${name}: ${passed} passed, ${failed} failed`);
const sum = (/** @type {'passed' | 'failed'} */ of) => results.reduce((total, one) => total + one[of], 0);
console.log(`\n${sum('passed')} passed, ${sum('failed')} failed`);
process.exit(sum('failed') === 0 ? 0 : 1);
