// @ts-check
import { fork } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { Cluster } from './cluster.mjs';
import { ensureBuild, ensurePackages, ROOT } from './prepare.mjs';
import { Advice, demandPort, hasEnded, isAlive } from './system.mjs';

const PORTS = { app: 4310, shop: 4320, media: 4330 };

/**
 * Starts everything: database, application, shop and media host; installs, builds, migrates and fills in the demo
 * where that is still to do. Answers what to print and how to stop it all; `onStop` is told how to stop what runs so
 * far, before anything does.
 * @param {(stop: () => Promise<void>) => void} [onStop]
 */
export async function startAll(onStop = () => undefined) {
	const folder = resolve(process.env.ANBAU_DATA ?? join(ROOT, '.anbau'));
	const app = Number(process.env.ANBAU_PORT ?? PORTS.app);
	const shop = Number(process.env.ANBAU_SHOP_PORT ?? PORTS.shop);
	const media = Number(process.env.ANBAU_MEDIA_PORT ?? PORTS.media);
	mkdirSync(folder, { recursive: true });
	refuseSecondStart(folder);
	await demandPort(app, 'Anbau', 'ANBAU_PORT');
	await demandPort(shop, 'the demo shop', 'ANBAU_SHOP_PORT');
	await demandPort(media, 'the demo media host', 'ANBAU_MEDIA_PORT');
	ensurePackages();
	ensureBuild();

	const lock = join(folder, 'pid');
	writeFileSync(lock, String(process.pid));
	const cluster = new Cluster(join(folder, 'postgres'));
	/** @type {import('node:child_process').ChildProcess[]} */
	const servers = [];
	const stop = async () => {
		await Promise.all(servers.map(end));
		await cluster.stop();
		rmSync(lock, { force: true });
	};
	onStop(stop);
	try {
		const urls = {
			app: `http://127.0.0.1:${app}`,
			shop: `http://127.0.0.1:${shop}`,
			media: `http://127.0.0.1:${media}`
		};
		const databaseUrl = await cluster.start();
		const credentials = readCredentials(folder);
		const env = {
			...process.env,
			...credentials.env,
			DATABASE_URL: databaseUrl,
			ANBAU_URL: urls.app,
			SHOP_URL: urls.shop,
			MEDIA_URL: urls.media,
			ANBAU_DATA_FOLDER: folder
		};
		await finish('web/setup.ts', env, 'Preparing the database');
		const web = {
			...env,
			ORIGIN: urls.app,
			HOST: '127.0.0.1',
			PORT: String(app),
			BODY_SIZE_LIMIT: 'Infinity',
			ANBAU_DEMO_EMAIL: credentials.running.email
		};
		servers.push(
			await serve('web/server.js', web),
			await serve('standins/shop/server.ts', { ...env, PORT: String(shop) }),
			await serve('standins/mediahost/server.ts', { ...env, PORT: String(media) })
		);
		await finish('demo/seed.ts', env, 'Filling in the demo');
		const running = { url: urls.app, shopUrl: urls.shop, ...credentials.running };
		const file = join(folder, 'running.json');
		writeFileSync(file, `${JSON.stringify(running, null, 2)}\n`, { mode: 0o600 });
		chmodSync(file, 0o600);
		return { running: { ...running, mediaUrl: urls.media }, stop, block: block(urls, credentials.running, folder) };
	} catch (error) {
		await stop();
		throw error;
	}
}

/** @param {string} folder */
function refuseSecondStart(folder) {
	const file = join(folder, 'pid');
	const pid = existsSync(file) ? Number(readFileSync(file, 'utf8')) : 0;
	if (!pid || pid === process.pid || !isAlive(pid) || !isNode(pid)) return;
	const running = join(folder, 'running.json');
	const url = existsSync(running) ? ` at ${JSON.parse(readFileSync(running, 'utf8')).url}` : '';
	throw new Advice(
		`Anbau already runs${url} (process ${pid}). Use that one, or stop it with “kill ${pid}”. For a second one beside it, give it its own data and ports: ANBAU_DATA=… ANBAU_PORT=… ANBAU_SHOP_PORT=… ANBAU_MEDIA_PORT=… npm start`
	);
}

/** A process number may have been given to another program since.
 * @param {number} pid
 */
function isNode(pid) {
	const file = `/proc/${pid}/cmdline`;
	return !existsSync(file) || readFileSync(file, 'utf8').includes('start');
}

/** The demo's credentials: made at the first start, kept for the next ones.
 * @param {string} folder
 */
function readCredentials(folder) {
	const file = join(folder, 'credentials.json');
	if (!existsSync(file)) {
		const secret = () => randomBytes(24).toString('base64url');
		const fresh = {
			storeKey: `hollowmere-${randomBytes(4).toString('hex')}`,
			apiKey: secret(),
			visitorSecret: secret(),
			email: 'owner@hollowmere.example',
			password: secret()
		};
		writeFileSync(file, JSON.stringify(fresh), { mode: 0o600 });
	}
	const running =
		/** @type {{ storeKey: string, apiKey: string, visitorSecret: string, email: string, password: string }} */ (
			JSON.parse(readFileSync(file, 'utf8'))
		);
	const env = {
		STORE_KEY: running.storeKey,
		API_KEY: running.apiKey,
		VISITOR_SECRET: running.visitorSecret,
		OWNER_EMAIL: running.email,
		OWNER_PASSWORD: running.password
	};
	return { running, env };
}

/** Starts a server and waits for its word that it listens; it ends when this process does.
 * @param {string} script
 * @param {NodeJS.ProcessEnv} env
 */
function serve(script, env) {
	const child = fork(join(ROOT, script), {
		cwd: ROOT,
		env,
		execArgv: script.endsWith('.ts') ? ['--import', 'tsx'] : ['--max-semi-space-size=64'],
		detached: true
	});
	return /** @type {Promise<import('node:child_process').ChildProcess>} */ (
		new Promise((resolve, reject) => {
			child.once('message', () => resolve(child));
			child.once('exit', (code) =>
				reject(new Advice(`${script} ended before it was ready (code ${code}); what it said stands above.`))
			);
		})
	);
}

/** Runs a script to its end.
 * @param {string} script
 * @param {NodeJS.ProcessEnv} env
 * @param {string} what
 */
function finish(script, env, what) {
	const child = fork(join(ROOT, script), { cwd: ROOT, env, execArgv: ['--import', 'tsx'] });
	return new Promise((resolve, reject) => {
		child.once('exit', (code) =>
			code === 0 ? resolve(undefined) : reject(new Advice(`${what} failed; what went wrong stands above.`))
		);
	});
}

/** @param {import('node:child_process').ChildProcess} child */
function end(child) {
	if (hasEnded(child)) return Promise.resolve();
	const ended = new Promise((resolve) => child.once('exit', resolve));
	child.kill('SIGTERM');
	const timer = setTimeout(() => child.kill('SIGKILL'), 5000);
	return ended.then(() => clearTimeout(timer));
}

/**
 * @param {{ app: string, shop: string, media: string }} urls
 * @param {{ email: string, password: string }} running
 * @param {string} folder
 */
function block(urls, { email, password }, folder) {
	return `
  Anbau is running.

    Anbau        ${urls.app}    sign in as the demo owner with one click
    Demo shop    ${urls.shop}
    Media host   ${urls.media}

    ${email}   ${password}
    Data and credentials are in ${folder}. Stop with Ctrl-C.
`;
}
