import { mkdtempSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import { countOf, type Histogram } from '@anbau/core/reviews';
import { database } from '../db/pool.js';
import { countsOf } from '../db/reviews.js';
import type { Store } from '../db/stores.js';
import type { Actor } from '../db/users.js';
import { productPass } from '../state/reviewsState.js';
import { storeStates } from '../state/storeStates.js';
import { chunks, problemOf, testStore } from '../testing.js';
import { importCatalog } from './importCatalog.js';
import { importReviews, reviewsFile } from './importReviews.js';
import { Job } from './jobs.js';
import { putPiece } from './pieces.js';
import { publish } from './releases.js';
import { reviewPage } from './reviewPage.js';
import { eraseReview, moderate, reviewQuery, reviewStatistics, reviewsView } from './reviews.js';
import { publicMedia } from './publicMedia.js';
import { inviteToReview, submitReview, takePicture } from './submitReview.js';

let store: Store;
let actor: Actor;
const NOW = Date.parse('2026-11-26T10:00:00Z');
const CATALOG = 'key,title,url\nspade,Spade,http://127.0.0.1:9/spade\nrake,Rake,http://127.0.0.1:9/rake\n';

beforeAll(async () => {
	process.env.ANBAU_DATA_FOLDER = mkdtempSync(join(tmpdir(), 'anbau-media-'));
	({ store, actor } = await testStore());
	await importCatalog(store, actor, chunks(CATALOG), 'csv', 'upsert', new Job(null));
});

const take = (text: string, options: Partial<Parameters<typeof importReviews>[2]> = {}) =>
	importReviews(actor, chunks(text, 7), { format: 'csv', match: null, dry: false, ...options }, new Job(null));
const counts = (product: string) => countsOf(database(), store.id, product);
const list = async (query: string) => (await reviewsView(actor, new URLSearchParams(query))).reviews;
/** The counts as the rows themselves say. */
async function recounted(product: string): Promise<Histogram> {
	const shown = (await list(`product=${product}&state=shown`)).map(({ rating }) => rating);
	return [1, 2, 3, 4, 5].map((rating) => shown.filter((one) => one === rating).length) as unknown as Histogram;
}
const submission = (change: object = {}) => ({
	product: 'spade',
	rating: 5,
	text: 'Digs well.',
	author: 'Ada',
	pass: productPass('spade', store.visitorSecret),
	...change
});
const submit = (change: object, address: string) => submitReview(store.key, submission(change), address, NOW);

describe('a file of reviews', () => {
	const FILE = [
		'Product ID,Stars,Review,Name,Created',
		'spade,5,"Strong, and light",Ada,2026-05-31',
		'spade,4.5,Half,Bea,2026-05-31',
		'rake,6,Too good,Cay,2026-05-31',
		'rake,five,Words,Cay,2026-05-31',
		'hoe,3,None,Dee,2026-05-31',
		'rake,2,Later,Dee,2031-01-01',
		'rake,2,Bends,Eve,2026-06-01',
		''
	].join('\n');

	it('says first what it would do, and does nothing', async () => {
		const dry = await take(FILE, { dry: true });
		expect(dry).toMatchObject({ inserted: 2, updated: 0, rejectedTotal: 5 });
		expect(dry.rejected.map(({ line, column }) => `${line} ${column}`)).toEqual([
			'3 rating',
			'4 rating',
			'5 rating',
			'6 product',
			'7 date'
		]);
		expect(dry.match).toEqual(['product', 'rating', 'text', 'author', 'date']);
		expect(await list('')).toEqual([]);
	});

	it('goes in once, whatever its columns are called, and comes out as it would go in', async () => {
		expect(await take(FILE)).toMatchObject({ inserted: 2 });
		expect(await take(FILE)).toMatchObject({ inserted: 0, updated: 0, unchanged: 2 });
		expect(await counts('spade')).toEqual([0, 0, 0, 0, 1]);
		const files = { csv: '', ndjson: '' };
		for (const format of ['csv', 'ndjson'] as const) {
			for await (const part of reviewsFile(actor, reviewQuery(new URLSearchParams()), format)) files[format] += part;
			expect(await take(files[format], { format })).toMatchObject({ unchanged: 2, rejectedTotal: 0 });
		}
	});

	it('is refused where a needed column is missing, and taken as someone says', async () => {
		const problem = await problemOf(take('a,b,c,d\nspade,3,Flo,2026-06-02\n'));
		expect(problem).toMatchObject({ type: 'columns', extra: { header: ['a', 'b', 'c', 'd'] } });
		const match = ['product', 'rating', 'author', 'date'] as const;
		expect(await take('a,b,c,d\nspade,3,Flo,2026-06-02\n', { match: [...match] })).toMatchObject({ inserted: 1 });
		expect(await counts('spade')).toEqual([0, 0, 1, 0, 1]);
	});
});

describe('moderation', () => {
	it('shows, hides with a reason, answers and erases, and keeps the counts', async () => {
		const [first, second] = await list('product=spade&order=best');
		if (!first || !second) throw new Error('the file brought two');
		const problem = await problemOf(moderate(actor, { ids: [first.id], state: 'hidden' }));
		expect(problem?.faults).toEqual([{ at: '/reason', message: 'must say why it is hidden' }]);
		await moderate(actor, { ids: [first.id, second.id], state: 'hidden', reason: 'Names a neighbour' });
		expect(await counts('spade')).toEqual([0, 0, 0, 0, 0]);
		await moderate(actor, { ids: [first.id], state: 'shown' });
		await moderate(actor, { ids: [first.id], reply: 'Thank you.' });
		expect(await list('state=shown&product=spade')).toMatchObject([{ reply: 'Thank you.', reason: '' }]);
		expect(await recounted('spade')).toEqual(await counts('spade'));
		await eraseReview(actor, second.id);
		expect(await list('product=spade')).toHaveLength(1);
		expect((await problemOf(moderate(actor, { ids: ['nobody'], state: 'shown' })))?.status).toBe(404);
	});

	it('finds by words, state and stars, and orders products by their score', async () => {
		expect(await list('q=bends')).toHaveLength(1);
		expect(await list('q=100%25')).toEqual([]);
		expect(await list('rating=2&state=shown')).toMatchObject([{ productTitle: 'Rake' }]);
		expect((await problemOf(reviewsView(actor, new URLSearchParams('rating=9'))))?.status).toBe(422);
		const { products, trend } = await reviewStatistics(actor, null);
		expect(products.map(({ key }) => key)).toEqual(['spade', 'rake']);
		expect(trend.map(({ month }) => month)).toEqual(['2026-05', '2026-06']);
	});
});

describe('a review from the shop', () => {
	it('waits, is signed for its product, and leaves nothing when a program wrote it', async () => {
		expect(await submit({}, '10.0.0.1')).toBe(true);
		expect(await submit({}, '10.0.0.1')).toBe(true);
		expect(await list('state=waiting')).toMatchObject([{ author: 'Ada', verified: false, rating: 5 }]);
		expect(await submit({ website: 'http://x.example' }, '10.0.0.2')).toBe(true);
		expect((await problemOf(submit({ product: 'rake' }, '10.0.0.2')))?.faults[0]?.at).toBe('/pass');
		for (const change of [{ rating: 6 }, { rating: 4.5 }, { rating: 'five' }, { text: 'x'.repeat(1_000_000) }])
			expect((await problemOf(submit(change, '10.0.0.2')))?.status).toBe(422);
		expect(await list('state=waiting')).toHaveLength(1);
		expect(await submitReview('nobody', submission(), '10.0.0.1', NOW)).toBe(false);
	});

	it('is verified by the invitation of an order, once for each of its products', async () => {
		const [link] = await inviteToReview(actor, { order: '7001', products: ['spade'] }, NOW);
		const invitation = link?.url.split('#anbau-review=')[1] ?? '';
		for (const text of ['As ordered.', 'Once more.']) await submit({ invitation, text, author: 'Gil' }, '10.0.0.3');
		await submit({ invitation: `${invitation}x`, text: 'Forged.', author: 'Hal' }, '10.0.0.3');
		expect(await list('verified=true')).toMatchObject([{ text: 'As ordered.' }]);
		expect(await list('q=forged')).toMatchObject([{ verified: false }]);
		expect((await problemOf(inviteToReview(actor, { order: '1', products: ['hoe'] }, NOW)))?.status).toBe(422);
	});

	it('brings its pictures, drawn anew so that nothing else is in them', async () => {
		const send = (bytes: Uint8Array, pass = submission().pass) =>
			takePicture(store.key, new URLSearchParams({ product: 'spade', pass }), arriving(bytes), '10.0.0.4', NOW);
		async function* arriving(bytes: Uint8Array) {
			yield bytes;
		}
		const exif = { IFD0: { Copyright: 'where it was taken' } };
		const photo = await sharp({ create: { width: 2400, height: 1200, channels: 3, background: '#2c5b43' } })
			.withExif(exif)
			.jpeg()
			.toBuffer();
		expect(photo.includes('where it was taken')).toBe(true);
		const sent = await send(Buffer.concat([photo, Buffer.from('<script>hidden</script>')]));
		const kept = await publicMedia(sent?.address.slice('media:'.length) ?? '');
		const bytes = await readFile(kept?.path ?? '');
		expect([bytes.includes('where it was taken'), bytes.includes('hidden')]).toEqual([false, false]);
		expect(await sharp(bytes).metadata()).toMatchObject({ format: 'webp', width: 1600, height: 800 });
		await submit({ text: 'See the picture.', pictures: [sent?.address] }, '10.0.0.4');
		expect(await list('q=see+the+picture')).toMatchObject([{ pictures: [sent?.address] }]);
		expect((await problemOf(send(Buffer.from('<html>'))))?.status).toBe(415);
		expect((await problemOf(send(photo, 'forged')))?.status).toBe(422);
		for (const pictures of [Array(4).fill(sent?.address), ['javascript:alert(1)'], ['https://x.example/a.png']])
			expect((await problemOf(submit({ text: 'x', pictures }, '10.0.0.4')))?.faults[0]?.at).toMatch(/^\/pictures/);
	});

	it('is refused when a thousand come from one address, and the store takes no flood from many', async () => {
		const before = (await list('state=waiting')).length;
		let refused = 0;
		for (let i = 0; i < 1000; i++) {
			const problem = await problemOf(submit({ text: `Spam ${i}` }, '10.0.0.9'));
			if (problem?.status === 429) refused++;
		}
		expect(refused).toBe(990);
		expect((await list('state=waiting')).length).toBe(before + 10);
	});
});

describe('a section in the shop', () => {
	it('is read page by page, ordered and filtered, only of what is shown', async () => {
		const rows = Array.from({ length: 12 }, (_, i) => `rake,${1 + (i % 5)},Text ${i},Ida ${i},2026-07-${10 + i}`);
		await take(['product,rating,text,author,date', ...rows].join('\n'));
		const piece = { kind: 'reviews', name: 'Reviews', target: { all: [] }, settings: { form: 'section' } };
		await putPiece(actor, 'all-reviews', piece, { kind: 'any' }, NOW);
		await publish(actor, { note: '' }, NOW);
		const page = (query: string) =>
			reviewPage(store.key, new URLSearchParams(`piece=all-reviews&product=rake&${query}`), NOW);
		const names = async (query: string) => [...((await page(query)) ?? '').matchAll(/Ida \d+(?=<)/g)].map(String);
		expect(await names('')).toEqual(['Ida 11', 'Ida 10', 'Ida 9', 'Ida 8', 'Ida 7']);
		expect(await names('order=worst&page=1')).toEqual(['Ida 10', 'Ida 5', 'Ida 0', 'Ida 11', 'Ida 6']);
		expect(await names('rating=4')).toEqual(['Ida 8', 'Ida 3']);
		expect(await page('page=3')).toContain('3 of 3');
		expect(await reviewPage(store.key, new URLSearchParams('piece=nothing&product=rake'), NOW)).toBeNull();
		const known = (await storeStates.byKey(store.key, NOW))?.reviews.of('rake');
		expect(known && countOf(known.histogram)).toBe(13);
	});
});
