// @ts-check
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';

/** A failure that the person at the keyboard can mend; printed as its sentence, without a stack. */
export class Advice extends Error {}

/** Whether this process is root, who may install Debian's packages. */
export function isRoot() {
	return process.getuid?.() === 0;
}

/** @param {string} command */
function which(command) {
	const found = spawnSync('sh', ['-c', `command -v ${command}`], { encoding: 'utf8' });
	return found.status === 0 ? found.stdout.trim() : null;
}

/** The folder of PostgreSQL's server programs, installed from Debian's packages if need be. */
export function ensurePostgres() {
	const found = findPostgres();
	if (found) return found;
	// Debian would start a server of its own for everyone on this machine; Anbau brings its own.
	if (isRoot()) {
		mkdirSync('/etc/postgresql-common', { recursive: true });
		const config = '/etc/postgresql-common/createcluster.conf';
		if (!existsSync(config)) writeFileSync(config, 'create_main_cluster = false\n');
	}
	install(['postgresql'], 'PostgreSQL');
	const installed = findPostgres();
	if (!installed)
		throw new Advice('PostgreSQL was installed, but its program “postgres” is not below /usr/lib/postgresql.');
	return installed;
}

function findPostgres() {
	const root = '/usr/lib/postgresql';
	const versions = existsSync(root) ? readdirSync(root).sort((a, b) => Number(b) - Number(a)) : [];
	for (const version of versions) {
		const folder = join(root, version, 'bin');
		if (existsSync(join(folder, 'initdb')) && existsSync(join(folder, 'postgres'))) return folder;
	}
	const onPath = which('postgres');
	return onPath && which('initdb') ? onPath.slice(0, onPath.lastIndexOf('/')) : null;
}

/** Films for the tests are made by ffmpeg, installed from Debian's packages if need be. */
export function ensureFfmpeg() {
	if (!which('ffmpeg') || !which('ffprobe')) install(['ffmpeg'], 'ffmpeg');
}

/** nginx, against which serving is measured, installed from Debian's packages if need be. */
export function ensureNginx() {
	const found = which('nginx');
	if (found) return found;
	install(['nginx'], 'nginx');
	return which('nginx') ?? '/usr/sbin/nginx';
}

/** Chromium's program, installed from Debian's packages if need be. */
export function ensureChromium() {
	const found = which('chromium') ?? which('chromium-browser');
	if (found) return found;
	install(['chromium'], 'Chromium');
	return which('chromium') ?? '/usr/bin/chromium';
}

/**
 * @param {string[]} packages
 * @param {string} name
 */
function install(packages, name) {
	const command = `apt-get install ${packages.join(' ')}`;
	if (!which('apt-get'))
		throw new Advice(`${name} is missing. Install it with this system's package manager and start again.`);
	if (!isRoot())
		throw new Advice(`${name} is missing and only root may install it. Run “sudo ${command}” and start again.`);
	console.log(`Installing ${name} …`);
	const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
	const quiet = { env, encoding: /** @type {const} */ ('utf8'), maxBuffer: 1 << 26 };
	spawnSync('apt-get', ['update', '-q'], quiet);
	const done = spawnSync(
		'apt-get',
		['install', '-y', '-q', '--no-install-recommends', '-o', 'Dpkg::Options::=--force-confold', ...packages],
		quiet
	);
	if (done.status !== 0)
		throw new Advice(
			`${name} could not be installed. “${command}” says:\n${(done.stderr || done.stdout || '').split('\n').slice(-8).join('\n')}`
		);
}

/** Runs a command to its end; its output is shown only when it fails.
 * @param {string} command
 * @param {string[]} args
 * @param {string} what
 */
export function run(command, args, what, env = process.env) {
	try {
		return execFileSync(command, args, {
			encoding: 'utf8',
			stdio: ['ignore', 'pipe', 'pipe'],
			maxBuffer: 1 << 28,
			env
		});
	} catch (error) {
		const { stdout = '', stderr = '' } = /** @type {{ stdout?: string, stderr?: string }} */ (error);
		throw new Advice(`${what} failed:\n${`${stdout}\n${stderr}`.trim().split('\n').slice(-30).join('\n')}`);
	}
}

/** A port that is free on the loopback address. */
export function freePort() {
	return /** @type {Promise<number>} */ (
		new Promise((resolve, reject) => {
			const server = createServer();
			server.once('error', reject);
			server.listen(0, '127.0.0.1', () => {
				const address = server.address();
				server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
			});
		})
	);
}

/** Throws advice when a port is taken.
 * @param {number} port
 * @param {string} what
 * @param {string} variable
 */
export async function demandPort(port, what, variable) {
	const free = await new Promise((resolve) => {
		const server = createServer();
		server.once('error', () => resolve(false));
		server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
	});
	if (!free)
		throw new Advice(
			`Port ${port}, meant for ${what}, is in use. Stop what uses it, or choose another: ${variable}=${port + 100} npm start`
		);
}

/** Whether a process is alive.
 * @param {number} pid
 */
export function isAlive(pid) {
	try {
		process.kill(pid, 0);
		return true;
	} catch (error) {
		return error instanceof Error && 'code' in error && error.code === 'EPERM';
	}
}

/** Whether a child process has ended, by itself or by a signal.
 * @param {import('node:child_process').ChildProcess} child
 */
export function hasEnded(child) {
	return child.exitCode !== null || child.signalCode !== null;
}
