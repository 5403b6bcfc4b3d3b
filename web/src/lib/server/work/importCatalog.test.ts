import { beforeEach, describe, expect, it } from 'vitest';
import { database } from '../db/pool.js';
import { allCategories, allProducts, productByKey } from '../db/products.js';
import type { Store } from '../db/stores.js';
import type { Actor } from '../db/users.js';
import { Problem } from '../problem.js';
import { chunks, testStore } from '../testing.js';
import { importCatalog, type CatalogFormat, type ImportMode } from './importCatalog.js';
import { Job } from './jobs.js';
import { patchProduct } from './products.js';

let store: Store;
let actor: Actor;
beforeEach(async () => ({ store, actor } = await testStore()));

const take = (text: string, format: CatalogFormat = 'csv', mode: ImportMode = 'upsert', job = new Job(null)) =>
	importCatalog(store, actor, chunks(text, 1000), format, mode, job);
const keys = async () => (await allProducts(database(), store.id)).map((product) => product.key);
const get = (key: string) => productByKey(database(), store.id, key);

describe('importing a catalogue', () => {
	it('inserts, changes, keeps absent columns, clears empty cells, and counts it', async () => {
		expect(
			await take('key,title,price,tags,attribute.size,categories\na,A,9.90,x|y,L,Seeds > Herbs\nb,B,5,,,\n')
		).toMatchObject({ inserted: 2, updated: 0, unchanged: 0 });
		expect(await take('key;title;tags;attribute.size\r\na;A;;\r\nb;B;;\r\n')).toMatchObject({
			inserted: 0,
			updated: 1,
			unchanged: 1,
			removed: 0
		});
		expect(await get('a')).toMatchObject({
			title: 'A',
			price: 990,
			tags: [],
			attributes: {},
			categories: ['seeds/herbs']
		});
		expect((await allCategories(database(), store.id)).map(({ key, parent }) => [key, parent])).toEqual([
			['seeds', null],
			['seeds/herbs', 'seeds']
		]);
	});

	it('keeps texts as they are, whatever is in them', async () => {
		const odd = 'a\tb \\ "q" {x} \\N \u2028 <b> 🌱';
		await take(
			`key,title,description,tags\na,"${odd.replace(/"/g, '""')}","line 1\nline 2\r\nline 3","a,b|c""d|e\\f"\n`
		);
		expect(await get('a')).toMatchObject({
			title: odd,
			description: 'line 1\nline 2\r\nline 3',
			tags: ['a,b', 'c"d', 'e\\f']
		});
	});

	it('lists bad rows with line and column, and takes the good ones', async () => {
		const result = await take('key,title,stock\na,A,1\nb,B,many\nc,"two\nlines",3\nd,D\na,Again,2\n');
		expect(result).toMatchObject({ inserted: 2 });
		expect(result.rejected).toEqual([
			{ line: 3, column: 'stock', reason: '“many” is not a whole number' },
			{ line: 6, column: '', reason: 'has 2 fields, the header has 3' },
			{ line: 7, column: 'key', reason: '“a” stands already in line 2' }
		]);
		expect(await keys()).toEqual(['a', 'c']);
	});

	it('reads NDJSON, where each line has its own columns', async () => {
		const lines = [
			'{"key":"a","title":"A","tags":["x"],"price":"9.90","attribute.size":["L","M"]}',
			'{"key":"b","stock":',
			'[1]',
			'{"key":"c","title":"C","stock":2}'
		];
		const result = await take(lines.join('\n'), 'ndjson');
		expect(result).toMatchObject({
			inserted: 2,
			rejected: [
				{ line: 2, column: '' },
				{ line: 3, column: '', reason: 'is not a JSON object' }
			]
		});
		expect(await take('{"key":"a","stock":5}\n{"key":"c","title":null}', 'ndjson')).toMatchObject({
			updated: 1,
			rejected: [{ line: 2, column: 'title' }]
		});
		expect(await get('a')).toMatchObject({ title: 'A', stock: 5, price: 990, attributes: { size: ['L', 'M'] } });
	});

	it('lists characters that cannot be stored', async () => {
		const csv =
			'key,title,url,categories,attribute.size\na,A\0,,,\nb,B,https://x.example/\0,,\nc,C,,To\0ols,\nd,D,,,\0\ne,E,,,\n';
		const result = await take(csv);
		expect(result).toMatchObject({ inserted: 1 });
		expect(result.rejected.map(({ line, column }) => [line, column])).toEqual([
			[2, 'title'],
			[3, 'url'],
			[4, 'categories'],
			[5, 'attribute.size']
		]);
		const json = await take(
			'{"key":"f","title":"half \\ud800"}\n{"key":"g","title":"G","attribute.size":["\\u0000"]}',
			'ndjson'
		);
		expect(json.rejected.map(({ line }) => line)).toEqual([1, 2]);
	});

	it('belongs to a store that is there, and goes with it', async () => {
		await take('key,title\na,A\n');
		await database().query('DELETE FROM store WHERE id = $1', [store.id]);
		expect(await keys()).toEqual([]);
		await expect(take('key,title\nb,B\n')).rejects.toThrow('no store');
		expect(await keys()).toEqual([]);
	});

	it('replaces only when every row could be read', async () => {
		await take('key,title\na,A\nb,B\n');
		expect(await take('key,title,stock\nb,B,x\n', 'csv', 'replace')).toMatchObject({ removed: 0 });
		expect(await take('key,title\nb,B\n', 'csv', 'replace')).toMatchObject({ removed: 1 });
		expect(await keys()).toEqual(['b']);
	});

	it.each([
		['', 'empty'],
		['title,price\nA,1\n', 'columns'],
		['key,title\na,A\n\xff', null]
	])('refuses %j whole and changes nothing', async (text, message) => {
		await take('key,title\nz,Z\n');
		const work =
			message === null
				? importCatalog(
						store,
						actor,
						bytes([...new TextEncoder().encode('key,title\na,A\n'), 0xff, 0x41]),
						'csv',
						'upsert',
						new Job(null)
					)
				: take(text);
		await expect(work).rejects.toThrow(message ?? 'UTF-8');
		expect(await keys()).toEqual(['z']);
	});

	it('undoes everything when it is cancelled midway', async () => {
		const job = new Job(null);
		const text =
			'key,title\n' + Array.from({ length: 60_000 }, (_, i) => `k${i},A title that is long enough ${i}\n`).join('');
		async function* watched() {
			for await (const chunk of chunks(text)) {
				if (job.rows > 20_000) job.cancel();
				yield chunk;
			}
		}
		await expect(importCatalog(store, actor, watched(), 'csv', 'upsert', job)).rejects.toBeInstanceOf(Problem);
		expect(job.rows).toBeGreaterThan(20_000);
		expect(await keys()).toEqual([]);
		expect(await take('key,title\na,A\n')).toMatchObject({ inserted: 1 });
	});
});

async function* bytes(values: number[]): AsyncGenerator<Uint8Array> {
	yield Uint8Array.from(values);
}

describe('changing one product', () => {
	it('sets single values and says where one is wrong', async () => {
		await take('key,title,stock,price\na,A,1,5\n');
		expect(await patchProduct(actor, 'a', { stock: 7, price: '6.50' })).toMatchObject({
			title: 'A',
			stock: 7,
			price: 650
		});
		await expect(patchProduct(actor, 'a', { stock: 'x' })).rejects.toMatchObject({ faults: [{ at: '/stock' }] });
		await expect(patchProduct(actor, 'gone', { stock: 1 })).rejects.toMatchObject({ status: 404 });
	});
});
