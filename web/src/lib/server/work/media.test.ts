import { createHash } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { crc32, deflateSync } from 'node:zlib';
import sharp from 'sharp';
import { beforeEach, describe, expect, it } from 'vitest';
import { receive } from '../bytes.js';
import type { Actor } from '../db/users.js';
import { storeStates } from '../state/storeStates.js';
import { problemOf, testStore } from '../testing.js';
import { importCatalog } from './importCatalog.js';
import { Job } from './jobs.js';
import { listMedia, patchMedia, uploadMedia } from './media.js';
import { replaceMedia } from './mediaUse.js';
import { originalOf, publicMedia } from './publicMedia.js';
import { putPiece } from './pieces.js';

let actor: Actor;
const now = () => Date.now();
beforeEach(async () => {
	process.env.ANBAU_DATA_FOLDER = mkdtempSync(join(tmpdir(), 'anbau-media-'));
	const made = await testStore();
	actor = made.actor;
	await storeStates.byId(made.store.id, now());
});

async function* arriving(bytes: Uint8Array, size = 1000): AsyncGenerator<Uint8Array> {
	for (let i = 0; i < bytes.length; i += size) yield bytes.subarray(i, i + size);
}
const drawn = (width: number, height: number) =>
	sharp({ create: { width, height, channels: 3, background: { r: 40, g: 90, b: 60 } } });
const png = (width = 40, height = 30) => drawn(width, height).png().toBuffer();

/** A PNG (W3C PNG, 5.3: length, type, data, CRC) whose head says a size that its data does not have. */
function pngHead(width: number, height: number): Buffer {
	const chunk = (type: string, data: Buffer) => {
		const named = Buffer.concat([Buffer.from(type, 'latin1'), data]);
		const length = Buffer.alloc(4);
		length.writeUInt32BE(data.length);
		const crc = Buffer.alloc(4);
		crc.writeUInt32BE(crc32(named));
		return Buffer.concat([length, named, crc]);
	};
	const head = Buffer.alloc(13);
	head.writeUInt32BE(width, 0);
	head.writeUInt32BE(height, 4);
	head.set([8, 2, 0, 0, 0], 8);
	const signature = Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]);
	return Buffer.concat([
		signature,
		chunk('IHDR', head),
		chunk('IDAT', deflateSync(Buffer.alloc(1000))),
		chunk('IEND', Buffer.alloc(0))
	]);
}

describe('the shelf', () => {
	it('reads what comes, whatever its name says, judges it, and keeps the same bytes once', async () => {
		const first = await uploadMedia(actor, 'leaf.png', arriving(await png()));
		expect(first).toMatchObject({
			name: 'leaf.png',
			address: `media:${first.sha256}.png`,
			facts: { kind: 'picture', type: 'image/png', width: 40, height: 30, animated: false },
			findings: [{ level: 'good', text: 'shows everywhere' }],
			usedIn: []
		});
		// A JPEG by another name is a JPEG.
		const lying = await uploadMedia(actor, 'picture.png', arriving(await drawn(10, 10).jpeg().toBuffer()));
		expect(lying).toMatchObject({ ending: 'jpg', facts: { type: 'image/jpeg' } });
		await uploadMedia(actor, 'again.png', arriving(await png()));
		expect((await listMedia(actor)).map(({ name }) => name)).toEqual(['picture.png', 'leaf.png']);
		const found = await publicMedia(`${first.sha256}.png`);
		expect(found).toMatchObject({ type: 'image/png', size: (await png()).length });
	});

	it('takes nothing that is none, is cut off, is empty, or names another place', async () => {
		const half = (await drawn(400, 300).jpeg().toBuffer()).subarray(0, 60);
		const cases: [name: string, bytes: Uint8Array, status: number][] = [
			['page.png', Buffer.from('<html><script>alert(1)</script></html>'), 415],
			['picture.svg', Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"/>'), 415],
			['empty.png', Buffer.from(''), 415],
			['half.jpg', half, 415],
			['manual.png', Buffer.from('%PDF-1.4\n'), 415],
			// A picture’s first bytes before a script make no picture.
			['polyglot.gif', Buffer.from('GIF89a/*\0\0*/=1;alert(1)'), 415],
			['bomb.svg', Buffer.from('<!DOCTYPE svg [<!ENTITY a "b">]><svg><text>&a;</text></svg>'), 415]
		];
		for (const [name, bytes, status] of cases)
			expect((await problemOf(uploadMedia(actor, name, arriving(bytes))))?.status, name).toBe(status);
		expect(await listMedia(actor)).toEqual([]);
		for (const file of ['../../etc/passwd', `${'0'.repeat(64)}.png`, `${'0'.repeat(64)}.html`, ''])
			expect(await publicMedia(file)).toBeNull();
	});

	it('is told at once that an upload broke off, and nothing of it stays', async () => {
		async function* breaking() {
			yield await png();
			throw new Error('the connection ended');
		}
		await expect(uploadMedia(actor, 'leaf.png', breaking())).rejects.toThrow('the connection ended');
		expect(await listMedia(actor)).toEqual([]);
	});

	it('knows the head of a picture of 30,000 × 30,000 without decoding it', async () => {
		const huge = pngHead(30_000, 30_000);
		const { findings } = await uploadMedia(actor, 'bomb.png', arriving(huge, 64 * 1024));
		expect(findings[0]).toMatchObject({ level: 'bad' });
	});

	it('cleans a drawing before it is kept, and says what is wrong with captions', async () => {
		const svg = '<svg viewBox="0 0 4 3" width="4" height="3"><script>x()</script><rect width="2" height="2"/></svg>';
		const drawing = await uploadMedia(actor, 'plan.svg', arriving(Buffer.from(svg)));
		expect(drawing).toMatchObject({ ending: 'svg', facts: { type: 'image/svg+xml', width: 4, height: 3 } });
		const kept = await publicMedia(`${drawing.sha256}.svg`);
		const bytes = await readFile(kept?.path ?? '');
		expect(bytes.toString()).not.toContain('script');
		// It is named by what is kept.
		expect(createHash('sha256').update(bytes).digest('hex')).toBe(drawing.sha256);
		const captions = await uploadMedia(
			actor,
			'en.vtt',
			arriving(Buffer.from('WEBVTT\n\n00:02.000 --> 00:01.000\nx\n'))
		);
		expect(captions).toMatchObject({ ending: 'vtt', findings: [{ level: 'warning' }] });
		const problem = await problemOf(patchMedia(actor, captions.sha256, { poster: 'https://x.example/a.png' }));
		expect(problem?.faults).toMatchObject([{ at: '/poster' }]);
	});

	it('makes lighter forms of a photograph when they are asked for, and gives the original where it cannot', async () => {
		const photo = await uploadMedia(actor, 'wide.jpg', arriving(await drawn(2000, 1000).jpeg().toBuffer()));
		const [form, again] = await Promise.all([1, 2].map(() => publicMedia(`${photo.sha256}-960.webp`)));
		expect(form).toEqual(again);
		expect(await sharp(form?.path).metadata()).toMatchObject({ format: 'webp', width: 960, height: 480 });
		const small = await uploadMedia(actor, 'small.png', arriving(await png()));
		const kept = await publicMedia(`${small.sha256}-1600.avif`);
		expect(await sharp(kept?.path).metadata()).toMatchObject({ width: 40 });
		for (const file of [`${photo.sha256}-961.webp`, `${photo.sha256}-960.png`, `${'0'.repeat(64)}-960.webp`])
			expect(await publicMedia(file), file).toBeNull();
		const bomb = await uploadMedia(actor, 'bomb.png', arriving(pngHead(30_000, 30_000), 64 * 1024));
		expect(await publicMedia(`${bomb.sha256}-480.webp`)).toBeNull();
		expect(await originalOf(`${bomb.sha256}-480.webp`)).toBe(`${bomb.sha256}.png`);
	});

	it('says of a full disk that it is full, and keeps nothing', async () => {
		// A device of Linux that takes no byte.
		const problem = await problemOf(receive('/dev/full', arriving(Buffer.alloc(200_000)), 1e9));
		expect(problem).toMatchObject({ type: 'disk-full', status: 507 });
	});

	it('puts one file in the place of another in drafts, own texts and values', async () => {
		const [old, next] = [
			await uploadMedia(actor, 'old.png', arriving(await png())),
			await uploadMedia(actor, 'new.png', arriving(await png(50, 50)))
		];
		const { store } = await storeStates.byId(actor.storeId, now());
		const csv = `key,title,attribute.film\nspade,Spade,${old.address}\n`;
		await importCatalog(store, actor, arriving(Buffer.from(csv)), 'csv', 'upsert', new Job(null));
		const piece = { kind: 'media', name: 'Leaf', settings: { address: old.address } };
		await putPiece(actor, 'leaf', piece, { kind: 'any' }, now());
		expect((await listMedia(actor)).find(({ name }) => name === 'old.png')?.usedIn).toEqual(['Leaf', 'Spade']);
		expect(await replaceMedia(actor, old.sha256, { by: next.sha256 })).toEqual({ pieces: 1, products: 1 });
		expect((await listMedia(actor)).map(({ name, usedIn }) => [name, usedIn])).toEqual([
			['new.png', ['Leaf', 'Spade']],
			['old.png', []]
		]);
		const { catalog } = await storeStates.byId(actor.storeId, now());
		expect(catalog.product('spade')?.attributes.film).toBe(next.address);
		const vtt = await uploadMedia(actor, 'en.vtt', arriving(Buffer.from('WEBVTT\n')));
		expect((await problemOf(replaceMedia(actor, next.sha256, { by: vtt.sha256 })))?.faults).toMatchObject([
			{ at: '/by' }
		]);
	});

	it('says where each is shown; what is shown stays, what is not goes and comes back', async () => {
		const media = await uploadMedia(actor, 'leaf.png', arriving(await png()));
		const piece = { kind: 'media', name: 'Leaf', settings: { type: 'picture', address: media.address } };
		await putPiece(actor, 'leaf', piece, { kind: 'any' }, now());
		expect(await listMedia(actor)).toMatchObject([{ usedIn: ['Leaf'] }]);
		expect((await problemOf(patchMedia(actor, media.sha256, { removed: true })))?.message).toContain('“Leaf” shows it');
		await putPiece(actor, 'leaf', { ...piece, settings: { address: '/x.png' } }, { kind: 'any' }, now());
		await patchMedia(actor, media.sha256, { removed: true });
		expect(await listMedia(actor)).toEqual([]);
		await patchMedia(actor, media.sha256, { removed: false, alt: 'A leaf', name: 'Leaf' });
		expect(await listMedia(actor)).toMatchObject([{ name: 'Leaf', alt: 'A leaf' }]);
		expect((await problemOf(patchMedia(actor, 'f'.repeat(64), {})))?.status).toBe(404);
		expect((await problemOf(patchMedia(actor, media.sha256, { name: '' })))?.faults).toMatchObject([{ at: '/name' }]);
	});
});
