import { database } from '../web/src/lib/server/db/pool.js';
import { liveOn } from '../web/src/lib/server/state/liveOn.js';
import { storeStates } from '../web/src/lib/server/state/storeStates.js';
import { chunks, testStore } from '../web/src/lib/server/testing.js';
import { importCatalog } from '../web/src/lib/server/work/importCatalog.js';
import { Job } from '../web/src/lib/server/work/jobs.js';
import { moderate } from '../web/src/lib/server/work/reviews.js';
import { renderPiece, pieceSchema } from '@anbau/core/pieces';
import { slower, time, timeAsync, type Result } from './measure.js';

const PRODUCTS = 200;

/** Statistics and widgets over 1,000,000 reviews, against the same over 1,000. */
export async function benchReviews(): Promise<Result[]> {
	const [few, many] = [await storeWith(1000), await storeWith(1_000_000)];
	const what = 'with 1,000,000 reviews against 1,000';
	return [
		slower(`one review is shown and counted, ${what}`, await moderating(many), await moderating(few), 2),
		slower(`a section, its summary and its stars are rendered, ${what}`, await rendering(many), await rendering(few), 2)
	];
}

type Store = Awaited<ReturnType<typeof testStore>>;

async function storeWith(reviews: number): Promise<Store> {
	const made = await testStore();
	const keys = Array.from({ length: PRODUCTS }, (_, i) => `p${i},Product ${i},http://127.0.0.1:9/p${i}`);
	const csv = `key,title,url\n${keys.join('\n')}\n`;
	await importCatalog(made.store, made.actor, chunks(csv), 'csv', 'upsert', new Job(null));
	const db = database();
	await db.query(
		`INSERT INTO review SELECT $1, 'r' || i, 'p' || (i % ${PRODUCTS}), 1 + i % 5, 'Title ' || i, 'Some words of review ' || i,
			'Ada', now() - make_interval(mins => i), true, '[]', 'shown', '', '' FROM generate_series(1, ${reviews}) i`,
		[made.store.id]
	);
	await db.query(
		`INSERT INTO review_counts SELECT $1, product, ARRAY[count(*) FILTER (WHERE rating = 1), count(*) FILTER (WHERE rating = 2),
			count(*) FILTER (WHERE rating = 3), count(*) FILTER (WHERE rating = 4), count(*) FILTER (WHERE rating = 5)]
		 FROM review WHERE store_id = $1 GROUP BY product`,
		[made.store.id]
	);
	await db.query('ANALYZE review');
	await storeStates.byId(made.store.id, Date.now());
	return made;
}

async function moderating({ actor }: Store): Promise<number> {
	let turn = 0;
	return timeAsync(21, async () => {
		const id = `r${(++turn * 37) % 900}`;
		await moderate(actor, { ids: [id], state: 'hidden', reason: 'bench' });
		await moderate(actor, { ids: [id], state: 'shown' });
	});
}

async function rendering({ store }: Store): Promise<number> {
	const now = Date.now();
	const state = await storeStates.byId(store.id, now);
	const product = state.catalog.product('p7');
	if (!product) throw new Error('the product is there');
	const pieces = ['stars', 'summary', 'section'].map((form) =>
		pieceSchema.parse({ kind: 'reviews', name: form, settings: { form } })
	);
	return time(41, () => {
		const live = liveOn(state, { kind: 'product', key: product.key }, product, now);
		for (const piece of pieces) renderPiece('bench', piece, live);
	});
}
