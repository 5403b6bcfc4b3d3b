import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Store } from '../db/stores.js';
import type { Actor } from '../db/users.js';
import { chunks, problemOf, testStore } from '../testing.js';
import { attributesView, getAttribute, planAttribute, putAttribute, removeAttribute } from './attributes.js';
import { publicFile, uploadFile } from './files.js';
import { putIcon, removeIcon } from './icons.js';
import { importCatalog } from './importCatalog.js';
import { Job } from './jobs.js';
import { livePage } from './livePage.js';
import { putPiece } from './pieces.js';
import { getProduct, patchProduct } from './products.js';
import { quietOn } from './quiet.js';
import { publish, waiting } from './releases.js';
import { changeSheet, sheetRows } from './sheet.js';
import { sheetCsv, takeSheetFile } from './sheetFile.js';
import { listStarters, putStarter, removeStarter } from './starters.js';
import { patchStore } from './storeSettings.js';

const CSV = `key,title,price,stock,categories,attribute.depth
carrot,Carrot,2.00,5,Seeds,2 cm
leek,Leek,3.00,1,Seeds,deep
spade,Spade,40.00,9,Tools,
`;
const ONCE = { onlyNew: true, drop: false };
let store: Store;
let actor: Actor;
const now = Date.now();
const importCsv = (text: string) => importCatalog(store, actor, chunks(text), 'csv', 'upsert', new Job(null));
const depth = { label: 'Sowing depth', type: 'number', unit: 'cm', categories: ['seeds'], required: true };

beforeAll(async () => {
	process.env.ANBAU_DATA_FOLDER = mkdtempSync(join(tmpdir(), 'anbau-files-'));
	({ store, actor } = await testStore());
	await importCsv(CSV);
});

describe('an attribute', () => {
	it('that would lose values says which, and changes nothing', async () => {
		expect((await attributesView(actor)).undefinedCodes).toEqual([{ code: 'depth', values: 2, sample: '2 cm' }]);
		expect(await planAttribute(actor, 'depth', depth)).toMatchObject({
			changed: [{ key: 'carrot', to: 2 }],
			lost: [{ key: 'leek' }]
		});
		const problem = await problemOf(putAttribute(actor, 'depth', depth, ONCE));
		expect(problem).toMatchObject({ status: 409, faults: [{ at: 'leek' }] });
		expect((await getProduct(actor, 'carrot')).attributes).toEqual({ depth: '2 cm' });
	});

	it('is defined, converts what it can, and its code is taken from then on', async () => {
		await putAttribute(actor, 'depth', depth, { ...ONCE, drop: true });
		expect((await getProduct(actor, 'carrot')).attributes).toEqual({ depth: 2 });
		expect((await getProduct(actor, 'leek')).attributes).toEqual({});
		expect(await getAttribute(actor, 'depth')).toMatchObject({ code: 'depth', label: 'Sowing depth' });
		expect(await problemOf(putAttribute(actor, 'depth', depth, ONCE))).toMatchObject({
			status: 412,
			faults: [{ at: '/code' }]
		});
		expect((await attributesView(actor)).attributes[0]?.fullness).toMatchObject({
			applies: 2,
			filled: 1,
			byCategory: { seeds: { applies: 2, filled: 1 } }
		});
	});

	it('rules the catalogue’s file and the API’s single values', async () => {
		expect(await importCsv('key,attribute.depth\ncarrot,"2,5"\nleek,3\n')).toMatchObject({
			updated: 1,
			rejected: [{ line: 2, column: 'attribute.depth' }]
		});
		expect(await problemOf(patchProduct(actor, 'carrot', { 'attribute.depth': '2,5' }))).toMatchObject({
			status: 422,
			faults: [{ at: '/attribute.depth' }]
		});
	});

	it('that is taken away leaves its values, and defining it again brings them back', async () => {
		await removeAttribute(actor, 'depth');
		expect((await getProduct(actor, 'carrot')).attributes).toEqual({ depth: 2 });
		await putAttribute(actor, 'depth', depth, ONCE);
		expect((await attributesView(actor)).undefinedCodes).toEqual([]);
	});
});

describe('the sheet', () => {
	it('shows what is missing, and takes the good cells of a paste beside the bad ones', async () => {
		const rows = async (query: string) =>
			(await sheetRows(actor, new URLSearchParams(query))).rows.map((row) => row.key);
		expect(await rows('')).toEqual(['carrot', 'leek', 'spade']);
		await changeSheet(actor, { changes: [{ key: 'leek', code: 'depth', value: '' }] });
		expect(await rows('missing=depth')).toEqual(['leek']);
		expect(await rows('missing=*&category=seeds&q=LEE')).toEqual(['leek']);
		const answer = await changeSheet(actor, {
			changes: [
				{ key: 'carrot', code: 'depth', value: '1.5' },
				{ key: 'leek', code: 'depth', value: '1,5' },
				{ key: 'spade', code: 'depth', value: '1' },
				{ key: 'gone', code: 'depth', value: '1' },
				{ key: 'carrot', code: 'width', value: '1' }
			]
		});
		expect(answer.saved).toBe(1);
		expect(answer.rejected.map(({ at, reason }) => [at, reason])).toEqual([
			['/changes/1/value', expect.stringContaining('1.5')],
			['/changes/2/value', expect.stringContaining('does not apply')],
			['/changes/3/value', expect.stringContaining('“gone”')],
			['/changes/4/value', expect.stringContaining('“width”')]
		]);
		expect((await getProduct(actor, 'carrot')).attributes).toEqual({ depth: 1.5 });
	});

	it('goes out as a CSV file and comes back with every change said before it is made', async () => {
		const csv = await sheetCsv(actor, new URLSearchParams());
		expect(csv.split('\r\n').slice(0, 2)).toEqual(['key,title,attribute.depth', 'carrot,Carrot,1.5']);
		expect(await takeSheetFile(actor, 'product', csv, true)).toMatchObject({ changed: 0, rejectedTotal: 0 });
		const edited = csv.replace('carrot,Carrot,1.5', 'carrot,Carrot,4').replace('leek,Leek,', 'leek,Leek,31 cm deep');
		const dry = await takeSheetFile(actor, 'product', edited, true);
		expect(dry).toMatchObject({
			changes: [{ line: 2, key: 'carrot', code: 'depth', from: '1.5', to: '4' }],
			rejected: [{ line: 3, column: 'attribute.depth' }]
		});
		expect((await getProduct(actor, 'carrot')).attributes).toEqual({ depth: 1.5 });
		await takeSheetFile(actor, 'product', edited, false);
		expect((await getProduct(actor, 'carrot')).attributes).toEqual({ depth: 4 });
		expect(await problemOf(takeSheetFile(actor, 'product', 'key,price\ncarrot,1\n', true))).toMatchObject({
			faults: [{ at: 'line 1, column price' }]
		});
	});

	it('holds values of categories too, which live values find', async () => {
		await putAttribute(actor, 'soil', { label: 'Soil', type: 'text', of: 'category' }, ONCE);
		expect(
			await changeSheet(actor, { of: 'category', changes: [{ key: 'seeds', code: 'soil', value: 'light' }] })
		).toEqual({ saved: 1, rejected: [] });
		expect((await sheetRows(actor, new URLSearchParams('of=category'))).rows).toEqual([
			{ key: 'seeds', title: 'Seeds', values: { soil: 'light' }, outside: [] },
			{ key: 'tools', title: 'Tools', values: {}, outside: [] }
		]);
	});
});

describe('a document', () => {
	const pdf = Buffer.from('%PDF-1.4\n1 0 obj<</Type/Catalog>>endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n');
	const bytes = (content: Buffer) => chunks(content.toString('latin1'));

	it('is what its name says, or is refused', async () => {
		expect(await problemOf(uploadFile(actor, 'manual.exe', bytes(pdf)))).toMatchObject({ status: 415 });
		expect((await problemOf(uploadFile(actor, 'picture.png', bytes(pdf))))?.message).toContain('application/pdf');
		expect(await problemOf(uploadFile(actor, 'note.txt', bytes(pdf)))).toMatchObject({ status: 415 });
		expect(await problemOf(uploadFile(actor, 'empty.pdf', bytes(Buffer.from(''))))).toMatchObject({ status: 415 });
	});

	it('can be had while a product names it and until its last valid day', async () => {
		await putAttribute(actor, 'manuals', { label: 'Manuals', type: 'documents' }, ONCE);
		const file = await uploadFile(actor, 'manual.pdf', bytes(pdf));
		const get = (time = now) => publicFile(store.key, file.sha256, time);
		expect(await get()).toBeNull();
		const name = (until: string) =>
			changeSheet(actor, { changes: [{ key: 'spade', code: 'manuals', value: `Manual; ${file.address}${until}` }] });
		expect(await name('')).toMatchObject({ saved: 1 });
		expect(readFileSync((await get())?.path ?? '')).toEqual(pdf);
		expect((await getProduct(actor, 'spade')).attributes.manuals).toEqual([{ label: 'Manual', address: file.address }]);
		await name('; 2027-03-31');
		expect(await get(Date.parse('2027-03-31T21:59:59Z'))).not.toBeNull();
		expect(await problemOf(get(Date.parse('2027-03-31T22:00:00Z')))).toMatchObject({ status: 410 });
		const lost = await changeSheet(actor, {
			changes: [{ key: 'spade', code: 'manuals', value: `M; file:${'0'.repeat(64)}` }]
		});
		expect(lost.rejected[0]?.reason).toContain('not uploaded');
	});
});

describe('a piece that products fill', () => {
	it('shows its values, is counted where it stays away, and is reworded when a label changes', async () => {
		const body = { type: 'doc', content: [{ type: 'attributeTable', attrs: { codes: ['depth'] } }] };
		const piece = { kind: 'message', name: 'Depth', body, target: { all: [] }, placements: [{ hook: 'above-buy' }] };
		await putPiece(actor, 'depth', piece, { kind: 'any' }, now);
		await publish(actor, {}, now);
		const html = async () =>
			(await livePage(store.key, new URLSearchParams('kind=product&id=carrot'), null, now))?.body ?? '';
		expect(await html()).toContain('Sowing depth</th><td>4 cm');
		expect(await quietOn(actor, { piece }, now, new AbortController().signal)).toMatchObject({
			checked: 3,
			away: 2,
			awayFrom: ['leek', 'spade']
		});
		await putAttribute(actor, 'depth', { ...depth, label: 'Depth of sowing' }, { onlyNew: false, drop: false });
		expect(await html()).toContain('Sowing depth</th>');
		expect(await waiting(actor, null, now)).toMatchObject({
			attributes: ['depth'],
			pieces: [{ piece: 'depth', reworded: 3 }]
		});
		await publish(actor, {}, now);
		expect(await html()).toContain('Depth of sowing</th>');
	});

	it('stops being counted when the question is given up', async () => {
		const signal = AbortSignal.abort();
		const piece = { kind: 'message', name: 'M', body: { markdown: 'x' }, target: { all: [] } };
		expect(await problemOf(quietOn(actor, { piece }, now, signal))).toMatchObject({ type: 'cancelled' });
	});

	it('takes the store’s style with a release, and its settings at once', async () => {
		await patchStore(actor, { style: { accent: '#2c5b43' }, settings: { ageLimitHours: 1 } });
		expect(await waiting(actor, null, now)).toMatchObject({ style: true, changes: 1 });
		const live = async (time = now) =>
			JSON.parse(
				(await livePage(store.key, new URLSearchParams('kind=product&id=carrot'), null, time))?.body ?? ''
			) as { style: object };
		expect((await live()).style).toEqual({});
		await publish(actor, {}, now);
		expect((await live()).style).toEqual({ '--anbau-accent': '#2c5b43' });
		expect(await problemOf(patchStore(actor, { settings: { delivery: { cutOff: '14:00', days: [] } } }))).toMatchObject(
			{ faults: [{ at: '/settings/delivery/days' }] }
		);
	});
});

describe('what pieces are made from', () => {
	it('an icon is cleaned, never overwritten, and stays while a piece shows it', async () => {
		const svg = '<svg viewBox="0 0 9 9" onload="x"><path d="M0 0"/></svg>';
		expect(await putIcon(actor, 'beet', { svg })).toEqual({
			slug: 'beet',
			svg: '<svg viewBox="0 0 9 9"><path d="M0 0"></path></svg>'
		});
		expect(await problemOf(putIcon(actor, 'beet', { svg }))).toMatchObject({ status: 412 });
		expect(await problemOf(putIcon(actor, 'bad', { svg: '<p>' }))).toMatchObject({ faults: [{ at: '/svg' }] });
		await putPiece(
			actor,
			'beet',
			{ kind: 'message', name: 'Beet', icon: 'own:beet', body: { markdown: 'x' } },
			{ kind: 'any' },
			now
		);
		expect((await problemOf(removeIcon(actor, 'beet')))?.message).toContain('“Beet”');
	});

	it('a starter keeps what a piece says, not where it hangs', async () => {
		await putStarter(actor, 'own', {
			kind: 'message',
			name: 'Own',
			body: { markdown: 'x' },
			target: { all: [] },
			placements: [{ hook: 'above-buy' }]
		});
		expect(await listStarters(actor)).toMatchObject([
			{ slug: 'own', doc: { name: 'Own', placements: [], target: null } }
		]);
		await removeStarter(actor, 'own');
		expect(await listStarters(actor)).toEqual([]);
	});
});
