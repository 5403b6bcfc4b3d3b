// @ts-check
import { spawn, spawnSync } from 'node:child_process';
import { createHash, randomBytes } from 'node:crypto';
import { chmodSync, chownSync, existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Advice, ensurePostgres, freePort, hasEnded, isAlive, isRoot } from './system.mjs';

const USER = 'anbau';

/**
 * A private PostgreSQL cluster on the loopback address, in a folder of its own, with a random password. It is made
 * at the first start and recovers by itself after a crash.
 */
export class Cluster {
	/** @param {string} folder */
	constructor(folder) {
		this.bin = ensurePostgres();
		this.owner = isRoot() ? userIds('postgres') : null;
		this.folder = this.owner && !this.#isReachable(folder) ? elsewhere(folder) : folder;
		this.data = join(this.folder, 'data');
		this.passwordFile = join(this.folder, 'password');
		this.log = join(this.folder, 'postgres.log');
		/** @type {import('node:child_process').ChildProcess | null} */
		this.server = null;
	}

	/** Starts the cluster; answers its connection address. */
	async start() {
		this.#stopOrphan();
		if (!existsSync(join(this.data, 'PG_VERSION'))) this.#create();
		const port = await freePort();
		// Only this machine, only by password, and no socket file in a shared folder.
		const options = [
			'-D',
			this.data,
			'-p',
			String(port),
			'-c',
			'listen_addresses=127.0.0.1',
			'-c',
			'unix_socket_directories=',
			'-c',
			'log_min_messages=warning',
			'-c',
			'max_wal_size=2GB',
			'-c',
			'shared_buffers=256MB'
		];
		this.server = spawn(join(this.bin, 'postgres'), options, {
			...this.#as(),
			stdio: ['ignore', 'ignore', 'pipe'],
			detached: true
		});
		let said = '';
		this.server.stderr?.on('data', (chunk) => (said = (said + String(chunk)).slice(-4000)));
		const address = `postgres://${USER}:${readFileSync(this.passwordFile, 'utf8').trim()}@127.0.0.1:${port}/postgres`;
		await this.#untilReady(port, () => said);
		return address;
	}

	/** Stops the cluster and waits until it is down. */
	async stop() {
		const { server } = this;
		if (!server || hasEnded(server)) return;
		const ended = new Promise((resolve) => server.once('exit', resolve));
		server.kill('SIGINT');
		await ended;
	}

	#create() {
		rmSync(this.data, { recursive: true, force: true });
		mkdirSync(this.folder, { recursive: true });
		writeFileSync(this.passwordFile, randomBytes(24).toString('base64url'), { mode: 0o600 });
		if (this.owner) {
			chownSync(this.folder, this.owner.uid, this.owner.gid);
			chownSync(this.passwordFile, this.owner.uid, this.owner.gid);
		}
		chmodSync(this.folder, 0o700);
		const args = [
			'-D',
			this.data,
			'-U',
			USER,
			'--auth=scram-sha-256',
			`--pwfile=${this.passwordFile}`,
			'--encoding=UTF8',
			'--locale=C.UTF-8',
			'--no-instructions'
		];
		const made = spawnSync(join(this.bin, 'initdb'), args, { ...this.#as(), encoding: 'utf8' });
		if (made.status !== 0) {
			rmSync(this.data, { recursive: true, force: true });
			throw new Advice(`The database could not be created in ${this.folder}:\n${made.stderr}`);
		}
	}

	/** A server that outlived a killed start still holds the folder; it is stopped, then everything goes on from its files. */
	#stopOrphan() {
		const file = join(this.data, 'postmaster.pid');
		if (!existsSync(file)) return;
		const pid = Number(readFileSync(file, 'utf8').split('\n')[0]);
		if (!pid || !isAlive(pid)) return;
		const stopped = spawnSync(join(this.bin, 'pg_ctl'), ['stop', '-D', this.data, '-m', 'fast', '-w', '-t', '60'], {
			...this.#as(),
			encoding: 'utf8'
		});
		if (stopped.status !== 0 && isAlive(pid)) {
			throw new Advice(
				`A database server (process ${pid}) from an earlier start still holds ${this.data} and does not stop. End it with “kill ${pid}” and start again.`
			);
		}
	}

	/**
	 * @param {number} port
	 * @param {() => string} said
	 */
	async #untilReady(port, said) {
		const { connect } = await import('node:net');
		for (let turn = 0; turn < 600; turn++) {
			if (!this.server || hasEnded(this.server)) {
				throw new Advice(
					`The database in ${this.folder} does not start. It says:\n${said().trim()}\nIf its files are damaged, move that folder away; the next start makes a new one with the demo in it.`
				);
			}
			const open = await new Promise((resolve) => {
				const socket = connect(port, '127.0.0.1', () => resolve(true));
				socket.once('error', () => resolve(false));
				socket.once('connect', () => socket.end());
			});
			if (open) return;
			await new Promise((resolve) => setTimeout(resolve, 100));
		}
		throw new Advice(`The database in ${this.folder} did not get ready within a minute. It says:\n${said().trim()}`);
	}

	/** PostgreSQL refuses to run as root; its own user runs it then. */
	#as() {
		return this.owner ? { uid: this.owner.uid, gid: this.owner.gid, cwd: '/' } : { cwd: '/' };
	}

	/** @param {string} folder */
	#isReachable(folder) {
		mkdirSync(folder, { recursive: true });
		return spawnSync('test', ['-x', folder], { ...this.#as() }).status === 0;
	}
}

/** A folder that PostgreSQL's user can reach, for a data folder below a closed home.
 * @param {string} folder
 */
function elsewhere(folder) {
	const name = createHash('sha256').update(folder).digest('hex').slice(0, 12);
	return join('/var/tmp', `anbau-${name}`);
}

/** @param {string} name */
function userIds(name) {
	const id = (/** @type {string} */ flag) => Number(spawnSync('id', [flag, name], { encoding: 'utf8' }).stdout);
	const [uid, gid] = [id('-u'), id('-g')];
	if (!uid || !gid) throw new Advice(`The user “${name}”, which is to run the database, is missing on this machine.`);
	return { uid, gid };
}
