import { beforeEach, describe, expect, it } from 'vitest';
import { database } from '../db/pool.js';
import type { Store } from '../db/stores.js';
import type { Actor } from '../db/users.js';
import { storeStates } from '../state/storeStates.js';
import { chunks, testStore } from '../testing.js';
import { hangingOn } from './hanging.js';
import { getHouseTab, putHouseTab } from './houseTabs.js';
import { importCatalog } from './importCatalog.js';
import { Job, jobById, runJob } from './jobs.js';
import { livePage } from './livePage.js';
import { deletePiece, getPiece, listPieces, putPiece, switchPiece } from './pieces.js';
import { catalogFilters, searchProducts } from './products.js';
import { pastReleases, publish, restore, waiting } from './releases.js';
import { countReach, explain } from './rules.js';

let store: Store;
let actor: Actor;
const ANY = { kind: 'any' } as const;
const now = () => Date.now();
const CSV = `key,title,price,stock,tags,categories,visible
spade,Spade,46,3,steel|part: 1,Tools > Digging,yes
fork,Fork,52,0,steel,Tools > Digging,yes
bench,Bench,329,5,oak,Benches,yes
secret,Secret,1,1,steel,Tools,no
`;
const piece = (change: object = {}) => ({
	kind: 'message',
	name: 'Steel',
	body: { markdown: 'Of **{product.title}** steel' },
	target: { field: 'tag', operator: 'is', value: 'steel' },
	placements: [{ hook: 'above-buy' }],
	...change
});

beforeEach(async () => {
	({ store, actor } = await testStore());
	await storeStates.byId(store.id, now());
	await importCatalog(store, actor, chunks(CSV), 'csv', 'upsert', new Job(null));
});

const live = async (key: string) => {
	const answer = await livePage(store.key, new URLSearchParams({ kind: 'product', id: key }), null, now());
	return JSON.parse(answer?.body ?? 'null') as {
		release: number;
		hooks: Record<string, { piece: string; html: string }[]>;
		tabs: { slug: string }[];
	};
};
const shown = async (key: string) =>
	Object.values((await live(key)).hooks)
		.flat()
		.map((entry) => entry.piece);

describe('a piece', () => {
	it('is drafted, published, changed, taken off and put back', async () => {
		expect(await putPiece(actor, 'steel', piece(), { kind: 'new' }, now())).toMatchObject({
			version: 1,
			reach: 2,
			state: { publication: 'draft', running: 'on' }
		});
		expect(await shown('spade')).toEqual([]);
		expect(await waiting(actor, null, now())).toMatchObject({
			changes: 1,
			pages: 2,
			pieces: [{ piece: 'steel', added: 2 }]
		});
		expect(await publish(actor, { note: 'first' }, now())).toEqual({ release: 1, pages: 2 });
		expect((await live('spade')).hooks['above-buy']?.[0]?.html).toContain('Of <strong>Spade</strong> steel');
		expect(await shown('bench')).toEqual([]);
		expect(await shown('secret')).toEqual([]);

		await putPiece(actor, 'steel', piece({ target: { field: 'tag', operator: 'is', value: 'oak' } }), ANY, now());
		expect((await getPiece(actor, 'steel', now())).state.publication).toBe('changed');
		expect(await waiting(actor, ['steel'], now())).toMatchObject({ pages: 3, pieces: [{ added: 1, removed: 2 }] });
		expect(await shown('bench')).toEqual([]);
		await publish(actor, { note: 'second', pieces: ['steel'] }, now());
		expect([await shown('spade'), await shown('bench')]).toEqual([[], ['steel']]);

		expect(await restore(actor, 1, now())).toEqual({ release: 3, pages: 3 });
		expect([await shown('spade'), await shown('bench')]).toEqual([['steel'], []]);
		expect((await getPiece(actor, 'steel', now())).target).toMatchObject({ value: 'oak' });
		expect((await pastReleases(actor)).map(({ number, note }) => [number, note])).toEqual([
			[3, 'Put back release 1'],
			[2, 'second'],
			[1, 'first']
		]);
	});

	it('is switched off at once, and that survives being put back', async () => {
		await putPiece(actor, 'steel', piece(), ANY, now());
		await publish(actor, { note: '' }, now());
		expect((await switchPiece(actor, 'steel', false, now())).state.running).toBe('off');
		expect(await shown('spade')).toEqual([]);
		await restore(actor, 1, now());
		expect(await shown('spade')).toEqual([]);
		await putPiece(actor, 'steel', piece({ on: true }), ANY, now());
		expect(await shown('spade')).toEqual(['steel']);
	});

	it('is deleted with the next release, or at once when it was never public', async () => {
		await putPiece(actor, 'steel', piece(), ANY, now());
		await deletePiece(actor, 'steel', ANY, now());
		await expect(getPiece(actor, 'steel', now())).rejects.toMatchObject({ status: 404 });
		await putPiece(actor, 'steel', piece(), ANY, now());
		await publish(actor, { note: '' }, now());
		await deletePiece(actor, 'steel', ANY, now());
		expect((await listPieces(actor, now())).map((one) => one.state.publication)).toEqual([
			'removed with the next release'
		]);
		expect(await shown('spade')).toEqual(['steel']);
		await publish(actor, { note: '' }, now());
		expect(await listPieces(actor, now())).toEqual([]);
		expect(await shown('spade')).toEqual([]);
	});

	it('is guarded by its version, and what is overwritten stays in the history', async () => {
		await putPiece(actor, 'steel', piece({ note: 'one' }), ANY, now());
		await putPiece(actor, 'steel', piece({ note: 'two' }), { kind: 'version', version: 1 }, now());
		await expect(
			putPiece(actor, 'steel', piece({ note: 'mine' }), { kind: 'version', version: 1 }, now())
		).rejects.toMatchObject({ status: 412, extra: { current: { note: 'two', version: 2 } } });
		await expect(putPiece(actor, 'other', piece(), { kind: 'version', version: 1 }, now())).rejects.toMatchObject({
			status: 412
		});
		const { rows } = await database().query<{ before: { note: string } }>(
			`SELECT before FROM audit WHERE store_id = $1 AND subject = 'piece steel' AND action = 'save'`,
			[store.id]
		);
		expect(rows.map((row) => row.before.note)).toEqual(['one']);
	});

	it('keeps its placements’ ids and ages', async () => {
		const first = await putPiece(actor, 'steel', piece(), ANY, now());
		const second = await putPiece(
			actor,
			'steel',
			{ ...first, placements: [...first.placements, { hook: 'below-buy' }] },
			ANY,
			now() + 5000
		);
		expect(second.placements[0]).toEqual(first.placements[0]);
		expect(second.placements[1]?.since).not.toBe(first.placements[0]?.since);
	});

	it('of another store is not seen', async () => {
		await putPiece(actor, 'steel', piece(), ANY, now());
		const { actor: other } = await testStore();
		expect(await listPieces(other, now())).toEqual([]);
		await expect(getPiece(other, 'steel', now())).rejects.toMatchObject({ status: 404 });
		await expect(switchPiece(other, 'steel', false, now())).rejects.toMatchObject({ status: 404 });
	});
});

describe('a release', () => {
	it('is never changed, and one of nothing is not made', async () => {
		await publish(actor, { note: '' }, now());
		await expect(publish(actor, { note: '' }, now())).rejects.toMatchObject({ status: 409 });
		await expect(database().query('UPDATE release SET note = $1 WHERE store_id = $2', ['x', store.id])).rejects.toThrow(
			'never changed'
		);
	});

	it('carries the theme’s tabs only when everything is published', async () => {
		await putHouseTab(actor, 'description', { name: 'About', priority: 10 });
		await putPiece(actor, 'steel', piece(), ANY, now());
		await publish(actor, { note: '', pieces: ['steel'] }, now());
		expect((await live('spade')).tabs).toEqual([]);
		expect(await waiting(actor, null, now())).toMatchObject({ houseTabs: true, pages: 3 });
		await publish(actor, { note: '' }, now());
		expect((await live('spade')).tabs).toMatchObject([{ source: 'house', slug: 'description', heading: 'About' }]);
		expect(await getHouseTab(actor, 'description')).toEqual({
			slug: 'description',
			name: 'About',
			icon: null,
			binding: null,
			hidden: false,
			priority: 10
		});
	});
});

describe('questions', () => {
	it('about a reach and a reason are answered from the drafts', async () => {
		await putPiece(actor, 'steel', piece(), ANY, now());
		expect(await countReach(actor, { target: { field: 'tag', operator: 'is', value: 'steels' } }, now())).toMatchObject(
			{ total: 3, matched: 0, gone: [{ name: 'steels' }], meant: [{ found: 'steel', products: 2 }] }
		);
		expect(await explain(actor, { piece: 'steel', product: 'spade' }, now())).toMatchObject({
			shown: true,
			placements: [{ hook: 'above-buy', position: 1 }]
		});
		expect(await explain(actor, { piece: 'steel', product: 'secret' }, now())).toMatchObject({
			shown: false,
			reasons: [{ kind: 'hidden' }, { kind: 'rule', ok: true }]
		});
	});

	it('about what hangs on products count every piece that reaches them', async () => {
		await putPiece(actor, 'steel', piece(), ANY, now());
		await putPiece(actor, 'all', piece({ name: 'All', target: { all: [] } }), ANY, now());
		await putPiece(
			actor,
			'only',
			piece({ name: 'Only', target: { field: 'product', operator: 'in', value: ['spade'] } }),
			ANY,
			now()
		);
		const found = await hangingOn(actor, ['spade', 'bench', 'gone'], now());
		expect(found.get('spade')?.map((one) => [one.slug, one.onlyHere])).toEqual([
			['only', true],
			['steel', false],
			['all', false]
		]);
		expect(found.get('bench')?.map((one) => one.slug)).toEqual(['all']);
		expect(found.get('gone')).toEqual([]);
	});

	it('about the catalogue search, filter, sort and page', async () => {
		const keys = async (query: Record<string, string>) =>
			(await searchProducts(actor, new URLSearchParams(query), now())).products.map((product) => product.key);
		expect(await keys({})).toEqual(['bench', 'fork', 'secret', 'spade']);
		expect(await keys({ q: 'SPA' })).toEqual(['spade']);
		expect(await keys({ q: '100%' })).toEqual([]);
		expect(await keys({ tag: 'Steel', sort: 'price', desc: 'true' })).toEqual(['fork', 'spade', 'secret']);
		expect(await keys({ category: 'tools' })).toEqual(['fork', 'secret', 'spade']);
		expect(await keys({ sort: 'stock', limit: '2', offset: '1' })).toEqual(['secret', 'spade']);
		expect(await catalogFilters(actor)).toMatchObject({
			tags: [{ tag: 'steel', products: 3 }, { tag: 'oak' }, { tag: 'part: 1' }]
		});
	});
});

describe('a job', () => {
	it('is known while it runs, and only once', async () => {
		let go: () => void = () => undefined;
		const work = runJob('a', 10, () => new Promise<void>((resolve) => (go = resolve)));
		expect(jobById('a').totalBytes).toBe(10);
		await expect(runJob('a', null, async () => undefined)).rejects.toMatchObject({ status: 409 });
		go();
		await work;
		expect(() => jobById('a')).toThrow('no such job');
	});
});
