import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { ensureNginx, freePort } from '../scripts/lib/system.mjs';
import { timeAsync, type Result } from './measure.js';

const MB = 1024 * 1024;
const PART = 4 * MB;

const film = () => readFileSync(join(import.meta.dirname, '../demo/films/planting.mp4'));

/** A film with a box that players skip (ISO/IEC 14496-12, 8.1.2), so that it has this many bytes in all. */
function* largeFilm(bytes: number): Generator<Buffer> {
	const start = film();
	const head = Buffer.alloc(16);
	head.writeUInt32BE(1, 0);
	head.write('free', 4, 'latin1');
	head.writeBigUInt64BE(BigInt(bytes - start.length), 8);
	yield Buffer.concat([start, head]);
	const empty = Buffer.alloc(256 * 1024);
	for (let left = bytes - start.length - head.length; left > 0; left -= empty.length)
		yield left < empty.length ? empty.subarray(0, left) : empty;
}

async function upload(url: string, key: string, bytes: number): Promise<{ sha256: string; ending: string }> {
	const response = await fetch(`${url}/api/v1/media?name=large.mp4`, {
		method: 'POST',
		headers: { authorization: `Bearer ${key}`, 'content-type': 'application/octet-stream' },
		body: Readable.toWeb(Readable.from(largeFilm(bytes))) as ReadableStream,
		duplex: 'half'
	} as RequestInit);
	if (!response.ok) throw new Error(`the upload answered ${response.status}: ${await response.text()}`);
	return (await response.json()) as { sha256: string; ending: string };
}

/** How fast ranges of a film of 128 MB are served, against nginx (Debian) on the same file. */
export async function rangesAgainstNginx(url: string, key: string): Promise<Result> {
	const size = 128 * MB;
	const { sha256, ending } = await upload(url, key, size);
	const { base } = (await (
		await fetch(`${url}/api/v1/store`, { headers: { authorization: `Bearer ${key}` } })
	).json()) as { base: string };
	const folder = mkdtempSync(join(tmpdir(), 'anbau-nginx-'));
	mkdirSync(join(folder, 'files'));
	writeFileSync(join(folder, 'files', 'large.mp4'), Buffer.concat([...largeFilm(size)]));
	const port = await freePort();
	writeFileSync(
		join(folder, 'nginx.conf'),
		`daemon off; pid ${folder}/pid; error_log ${folder}/errors; worker_processes 1; user root; events {}
		http { access_log off; sendfile on; types { video/mp4 mp4; }
		server { listen 127.0.0.1:${port}; root ${folder}/files; } }`
	);
	const nginx = spawn(ensureNginx(), ['-c', join(folder, 'nginx.conf')], { stdio: 'inherit' });
	try {
		await new Promise((ready) => setTimeout(ready, 800));
		const read = (address: string) => () => ranges(address, size);
		const [own, theirs] = [`${base}/media/${sha256}.${ending}`, `http://127.0.0.1:${port}/large.mp4`];
		// One after the other, so that whatever else the machine does meets both.
		await read(own)();
		await read(theirs)();
		const [ours, reference] = [await timeAsync(7, read(own)), await timeAsync(7, read(theirs))];
		const ratio = reference / ours;
		const what = 'ranges of 4 MB of a film of 128 MB, as fast as nginx';
		return { what, ours, reference, unit: 'ms', ratio, goal: 'at least 0.8', kept: ratio >= 0.8 };
	} finally {
		nginx.kill();
		rmSync(folder, { recursive: true, force: true });
	}
}

async function ranges(address: string, size: number): Promise<void> {
	for (let at = 0; at < size; at += PART) {
		const response = await fetch(address, { headers: { range: `bytes=${at}-${at + PART - 1}` } });
		if (response.status !== 206) throw new Error(`${address} answered ${response.status}`);
		if ((await response.arrayBuffer()).byteLength !== PART) throw new Error('a range came short');
	}
}

/** How much more memory the server holds at most while 1 GB is uploaded. */
export async function uploadMemory(url: string, key: string): Promise<Result> {
	const pid = serverProcess();
	const held = () => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1] ?? 0) / 1024;
	// What the upload before has left is the state that this one begins with.
	await new Promise((settled) => setTimeout(settled, 3000));
	const before = held();
	let most = before;
	const timer = setInterval(() => (most = Math.max(most, held())), 20);
	await upload(url, key, 1024 * MB);
	clearInterval(timer);
	const ours = most - before;
	const what = 'memory that an upload of 1 GB takes beyond what the server held';
	return { what, ours, reference: before, unit: 'MB', ratio: null, goal: 'under 64 MB', kept: ours < 64 };
}

/** The process of the app, which this one started. */
function serverProcess(): number {
	const children = readFileSync(`/proc/${process.pid}/task/${process.pid}/children`, 'utf8').trim().split(' ');
	const found = children.find((pid) => readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('web/server.js'));
	if (found === undefined) throw new Error('the app is no child of this process');
	return Number(found);
}
