import { mkdtempSync, readdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Actor } from '../db/users.js';
import { problemOf, testStore } from '../testing.js';
import { listMedia } from './media.js';
import { resumableUpload } from './resumable.js';

let actor: Actor;
let folder: string;
beforeEach(async () => {
	folder = process.env.ANBAU_DATA_FOLDER = mkdtempSync(join(tmpdir(), 'anbau-media-'));
	actor = (await testStore()).actor;
});

const BASE = 'http://127.0.0.1/api/v1/media/uploads';
const TUS = { 'tus-resumable': '1.0.0' };
const ask = (method: string, url: string, headers: Record<string, string> = {}, body?: Uint8Array<ArrayBuffer>) =>
	resumableUpload(actor, new Request(url, { method, headers: { ...TUS, ...headers }, body: body ?? null }));
const photo = async () =>
	new Uint8Array(
		await sharp({ create: { width: 300, height: 200, channels: 3, background: '#2c5b43' } })
			.png()
			.toBuffer()
	);

async function begin(bytes: Uint8Array, name = 'photo.png'): Promise<string> {
	const metadata = `filename ${Buffer.from(name).toString('base64')}`;
	const response = await ask('POST', BASE, { 'upload-length': String(bytes.length), 'upload-metadata': metadata });
	expect(response.status).toBe(201);
	return new URL(response.headers.get('location') ?? '', BASE).href;
}
const send = (url: string, offset: number, part: Uint8Array<ArrayBuffer>) =>
	ask('PATCH', url, { 'upload-offset': String(offset), 'content-type': 'application/offset+octet-stream' }, part);
const kept = () => readdirSync(join(folder, 'media', 'coming'));

// The protocol tus 1.0 (tus.io): core protocol, creation, termination.
describe('an upload in pieces', () => {
	it('that stops at 60 % says how much is there, goes on, and is on the shelf', async () => {
		const bytes = await photo();
		const cut = Math.floor(bytes.length * 0.6);
		const url = await begin(bytes);
		expect((await send(url, 0, bytes.slice(0, cut))).status).toBe(204);
		expect(await listMedia(actor)).toEqual([]);
		const asked = await ask('HEAD', url);
		expect(asked.headers.get('upload-offset')).toBe(String(cut));
		expect((await send(url, 0, bytes.slice(0, cut))).status).toBe(409);
		const last = await send(url, cut, bytes.slice(cut));
		expect(await last.json()).toMatchObject({ name: 'photo.png', facts: { width: 300, height: 200 } });
		expect(await listMedia(actor)).toMatchObject([{ name: 'photo.png' }]);
		expect(kept()).toEqual([]);
	});

	it('is told what is wrong with the whole, and nothing of it stays', async () => {
		const bytes = new Uint8Array(Buffer.from('<html>no picture</html>'));
		const response = await send(await begin(bytes), 0, bytes);
		expect(response.status).toBe(415);
		expect(JSON.parse(await response.text())).toMatchObject({
			title: expect.stringContaining('“photo.png” is') as string
		});
		expect(kept()).toEqual([]);
	});

	it('is refused when it says that it has 1.1 GB, is given up when it is cancelled, and is its store’s alone', async () => {
		const refused = await ask('POST', BASE, { 'upload-length': String(Math.round(1.1 * 1024 ** 3)) });
		expect(refused.status).toBe(413);
		const bytes = await photo();
		const url = await begin(bytes);
		await send(url, 0, bytes.slice(0, 50));
		const mine = actor;
		actor = (await testStore()).actor;
		expect((await problemOf(ask('HEAD', url)))?.status).toBe(404);
		actor = mine;
		expect((await ask('DELETE', url)).status).toBe(204);
		expect(kept()).toEqual([]);
	});
});
