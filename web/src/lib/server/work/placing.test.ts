import { beforeEach, describe, expect, it } from 'vitest';
import type { Store } from '../db/stores.js';
import type { Actor } from '../db/users.js';
import { storeStates } from '../state/storeStates.js';
import { chunks, problemOf, testStore } from '../testing.js';
import { dropException, listExceptions, putException } from './exceptions.js';
import { exceptionsFile } from './exceptionsFile.js';
import { listHooks, putHook, removeHook } from './hooks.js';
import { putHousePart } from './houseParts.js';
import { listHouseTabs, putHouseTab, removeHouseTab } from './houseTabs.js';
import { importCatalog } from './importCatalog.js';
import { Job } from './jobs.js';
import { livePage } from './livePage.js';
import { moveInOrder } from './order.js';
import { getPiece, putPiece } from './pieces.js';
import { publish, waiting } from './releases.js';
import { hooksForOwner, storefrontLink } from './storefrontLink.js';

let store: Store;
let actor: Actor;
const now = () => Date.now();
const ANY = { kind: 'any' } as const;
const CSV = `key,title,price,tags,categories,url
spade,Spade,46,steel,Tools,http://127.0.0.1:9/products/spade
fork,Fork,52,steel,Tools,http://127.0.0.1:9/products/fork
bench,Bench,329,oak,Benches,
`;
const guide = (change: object = {}) => ({
	kind: 'tab',
	name: 'Guide',
	panels: [
		{ slug: 'use', heading: 'Use', body: { markdown: 'Dig with {product.title}.' } },
		{ slug: 'keep', heading: 'Keep', body: { markdown: 'Keep it dry.' } }
	],
	target: { field: 'tag', operator: 'is', value: 'steel' },
	placements: [{ id: 'tabs', hook: 'tabs', priority: 15 }],
	...change
});
const note = (change: object = {}) => ({
	kind: 'message',
	name: 'Note',
	body: { markdown: 'Note.' },
	target: { all: [] },
	placements: [{ id: 'buy', hook: 'above-buy', priority: 10 }],
	...change
});

beforeEach(async () => {
	({ store, actor } = await testStore());
	await storeStates.byId(store.id, now());
	await importCatalog(store, actor, chunks(CSV), 'csv', 'upsert', new Job(null));
	await putHouseTab(actor, 'description', { name: 'Description', priority: 10 });
	await putHouseTab(actor, 'details', { name: 'Details', priority: 20 });
	await putPiece(actor, 'guide', guide(), ANY, now());
	await putPiece(actor, 'note', note(), ANY, now());
});

/** What a product's page shows once everything is published. */
async function page(key: string) {
	await publish(actor, {}, now()).catch(() => undefined);
	const answer = await livePage(store.key, new URLSearchParams({ kind: 'product', id: key }), null, now());
	return JSON.parse(answer?.body ?? 'null') as {
		hooks: Record<string, { piece: string; html: string }[]>;
		tabs: { slug: string; heading: string; hidden: boolean; html?: string }[];
	};
}
const tabsOf = async (key: string) =>
	(await page(key)).tabs.filter(({ hidden }) => !hidden).map(({ slug }) => slug.replace('guide-', ''));

describe('the order', () => {
	it('moves pieces and house tabs together, waits to be published, and is all or nothing', async () => {
		expect(await tabsOf('spade')).toEqual(['description', 'use', 'keep', 'details']);
		const moves = [
			{ piece: 'guide', placement: 'tabs', priority: 5 },
			{ houseTab: 'details', priority: 7 }
		];
		const views = await moveInOrder(actor, { moves }, now());
		expect(views.map(({ slug }) => slug)).toEqual(['guide']);
		expect((await waiting(actor, null, now())).changes).toBe(2);
		expect(await tabsOf('spade')).toEqual(['use', 'keep', 'details', 'description']);
		const bad = [
			{ houseTab: 'details', priority: 99 },
			{ piece: 'guide', placement: 'gone', priority: 1 }
		];
		expect((await problemOf(moveInOrder(actor, { moves: bad }, now())))?.faults).toMatchObject([
			{ at: '/moves/1/placement' }
		]);
		expect((await listHouseTabs(actor)).find(({ slug }) => slug === 'details')?.priority).toBe(7);
	});

	it('takes a placement to another hook of its page, and to no hook that is not there', async () => {
		await moveInOrder(actor, { moves: [{ piece: 'note', placement: 'buy', priority: 3, hook: 'below-buy' }] }, now());
		expect((await getPiece(actor, 'note', now())).placements).toMatchObject([{ hook: 'below-buy', priority: 3 }]);
		const nowhere = { moves: [{ piece: 'note', placement: 'buy', priority: 3, hook: 'above-list' }] };
		expect((await problemOf(moveInOrder(actor, nowhere, now())))?.faults).toMatchObject([{ at: '/moves/0/hook' }]);
	});
});

describe('an exception', () => {
	it('hides, shows, rewords, renumbers, on its product alone, and stays when the shared piece changes', async () => {
		await putException(actor, { product: 'spade', houseTab: 'details', mode: 'hide' });
		await putException(actor, { product: 'bench', piece: 'guide', mode: 'show' });
		await putException(actor, {
			product: 'spade',
			piece: 'guide',
			mode: 'body',
			panel: 'keep',
			body: { markdown: 'Oil it.' }
		});
		await putException(actor, { product: 'fork', piece: 'guide', mode: 'priority', placement: 'tabs', priority: 1 });
		expect((await waiting(actor, null, now())).exceptions).toBe(4);
		expect(await tabsOf('spade')).toEqual(['description', 'use', 'keep']);
		expect(await tabsOf('bench')).toEqual(['description', 'use', 'keep', 'details']);
		expect(await tabsOf('fork')).toEqual(['use', 'keep', 'description', 'details']);
		await putPiece(
			actor,
			'guide',
			guide({ panels: [{ slug: 'keep', heading: 'Keep', body: { markdown: 'New.' } }] }),
			ANY,
			now()
		);
		const [, , own] = (await page('spade')).tabs;
		expect((await page('spade')).tabs.map(({ html }) => html).join()).toContain('Oil it.');
		expect((await page('fork')).tabs.map(({ html }) => html).join()).toContain('New.');
		expect(own).toBeDefined();
	});

	it('is listed, counted, exported and dropped', async () => {
		const row = await putException(actor, { product: 'bench', piece: 'guide', mode: 'show' });
		expect(row).toMatchObject({ productTitle: 'Bench', about: 'Guide', by: 'Tester' });
		expect(await listExceptions(actor, { piece: 'note' })).toEqual([]);
		expect((await exceptionsFile(actor)).split('\r\n')[1]).toMatch(/^bench,Bench,guide,,show,/);
		expect((await getPiece(actor, 'guide', now())).reach).toBe(3);
		await dropException(actor, row.id);
		expect((await getPiece(actor, 'guide', now())).reach).toBe(2);
		expect((await problemOf(dropException(actor, row.id)))?.status).toBe(404);
	});

	it('of a house tab names it, and says when the tab is gone', async () => {
		await putException(actor, { product: 'spade', houseTab: 'details', mode: 'hide' });
		expect(await listExceptions(actor, {})).toMatchObject([{ about: 'Details' }]);
		await removeHouseTab(actor, 'details');
		expect(await listExceptions(actor, {})).toMatchObject([{ about: null }]);
	});

	it('of the same kind takes the place of an earlier one: hide and show exclude each other', async () => {
		const first = await putException(actor, { product: 'spade', piece: 'note', mode: 'hide' });
		const second = await putException(actor, { product: 'spade', piece: 'note', mode: 'show' });
		expect(second.id).toBe(first.id);
		expect(await listExceptions(actor, {})).toHaveLength(1);
	});

	it('about what is not there is refused where it is wrong; one whose product goes later changes nothing', async () => {
		const cases: [object, string][] = [
			[{ product: 'gone', piece: 'guide', mode: 'hide' }, '/product'],
			[{ product: 'spade', piece: 'gone', mode: 'hide' }, '/piece'],
			[{ product: 'spade', houseTab: 'gone', mode: 'hide' }, '/houseTab'],
			[{ product: 'spade', piece: 'guide', mode: 'body', panel: 'gone', body: { markdown: 'x' } }, '/panel'],
			[{ product: 'spade', piece: 'guide', mode: 'priority', placement: 'gone', priority: 3 }, '/placement'],
			[{ product: 'spade', piece: 'guide', mode: 'priority', placement: 'tabs', priority: 0 }, '/priority'],
			[{ product: 'spade', piece: 'guide', mode: 'products', panel: 'use', products: ['spade'] }, '/mode'],
			[{ product: 'spade', piece: 'guide', mode: 'dance' }, '/mode']
		];
		for (const [input, at] of cases) {
			const problem = await problemOf(putException(actor, input));
			expect([problem?.faults.map((fault) => fault.at)], JSON.stringify(input)).toEqual([[at]]);
		}
		await putException(actor, { product: 'bench', piece: 'guide', mode: 'show' });
		await importCatalog(store, actor, chunks(CSV.split('\n').slice(0, 3).join('\n')), 'csv', 'replace', new Job(null));
		expect(await listExceptions(actor, {})).toMatchObject([{ productTitle: null, about: 'Guide' }]);
		expect((await getPiece(actor, 'guide', now())).reach).toBe(2);
	});
});

describe('a hook', () => {
	it('is bound by a selector that browsers take, with a fallback that ends', async () => {
		const bound = await putHook(actor, 'above-buy', { binding: { selector: 'form.cart', position: 'before' } });
		expect(bound).toMatchObject({ own: false, binding: { selector: 'form.cart', position: 'before' } });
		for (const selector of ['', '..', 'p:first', 'a[', 'p:contains(x)', 'div >'])
			expect((await problemOf(putHook(actor, 'below-buy', { binding: { selector } })))?.faults, selector).toMatchObject(
				[{ at: '/binding/selector' }]
			);
		await putHook(actor, 'below-buy', { fallback: 'above-buy' });
		expect((await problemOf(putHook(actor, 'above-buy', { fallback: 'below-buy' })))?.faults).toMatchObject([
			{ at: '/fallback', message: 'falls back on itself in the end' }
		]);
		expect((await problemOf(putHook(actor, 'above-buy', { fallback: 'nowhere' })))?.faults).toMatchObject([
			{ at: '/fallback' }
		]);
	});

	it('of the owner’s own takes pieces once it is there, and stays while something hangs on it', async () => {
		const own = { title: 'below the care label', pages: ['product'], binding: { selector: '.care' } };
		const onOwn = note({ placements: [{ id: 'own', hook: 'below-care', priority: 1 }] });
		expect((await problemOf(putPiece(actor, 'note', onOwn, ANY, now())))?.faults).toMatchObject([
			{ at: '/placements/0/hook' }
		]);
		await putHook(actor, 'below-care', own);
		await putPiece(actor, 'note', onOwn, ANY, now());
		await putHousePart(actor, 'label', { name: 'Label', from: '.label', hook: 'below-care' });
		expect((await page('bench')).hooks['below-care']?.map(({ piece }) => piece)).toEqual(['note']);
		const refused = await problemOf(removeHook(actor, 'below-care'));
		expect(refused).toMatchObject({ status: 409, message: '“Note”, “Label” hang here. Hang them elsewhere first.' });
		expect((await problemOf(putHook(actor, 'Bad Name', own)))?.status).toBe(422);
		expect((await problemOf(putHook(actor, 'other-one', { ...own, title: '' })))?.faults).toMatchObject([
			{ at: '/title' }
		]);
		expect((await listHooks(actor)).find(({ id }) => id === 'below-care')).toMatchObject({
			own: true,
			pages: ['product']
		});
	});

	it('is shown to the owner who comes by a signed link, and to nobody else', async () => {
		const { url } = await storefrontLink(actor, 'spade');
		expect(url).toMatch(/^http:\/\/127\.0\.0\.1:9\/products\/spade#anbau-hooks=/);
		const token = url.split('=')[1] ?? '';
		const told = await hooksForOwner(store.key, token, 'product', now());
		expect(told?.hooks.find(({ id }) => id === 'above-buy')).toMatchObject({ pieces: 1 });
		expect(await hooksForOwner(store.key, token, 'product', now() + 3_700_000)).toBeNull();
		expect(await hooksForOwner(store.key, 'forged', 'product', now())).toBeNull();
		expect(await hooksForOwner('other', token, 'product', now())).toBeNull();
		expect((await problemOf(storefrontLink(actor, 'bench')))?.status).toBe(404);
	});
});

describe('the theme’s own tabs', () => {
	it('are renamed, given an icon, hidden, and forgotten', async () => {
		await putHouseTab(actor, 'details', { name: 'Facts', priority: 20, icon: 'leaf', hidden: false });
		const [, , , facts] = (await page('spade')).tabs as unknown as { heading: string; icon: string | null }[];
		expect(facts).toMatchObject({ heading: 'Facts', icon: expect.stringContaining('<svg') as string });
		await removeHouseTab(actor, 'details');
		expect(await tabsOf('spade')).toEqual(['description', 'use', 'keep']);
		const bad = { name: 'X', priority: 5, binding: 'p:first' };
		expect((await problemOf(putHouseTab(actor, 'x', bad)))?.faults).toMatchObject([{ at: '/binding' }]);
	});
});

describe('windows and audiences', () => {
	it('that cannot be are refused where they are wrong', async () => {
		const windows = [
			{ from: '2027-01-01T00:00', until: '2027-02-01T00:00' },
			{ from: '2027-01-15T00:00', until: '2027-03-01T00:00' }
		];
		const faultsOf = async (change: object) =>
			(await problemOf(putPiece(actor, 'note', note(change), ANY, now())))?.faults;
		expect(await faultsOf({ windows })).toMatchObject([{ at: '/windows/1', message: 'overlaps with window 1' }]);
		expect(await faultsOf({ windows: [{ from: '2027-02-01T00:00', until: '2027-01-01T00:00' }] })).toMatchObject([
			{ at: '/windows/0/until', message: 'must end after it begins' }
		]);
	});
});
