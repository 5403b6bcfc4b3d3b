import { afterEach, describe, expect, it } from 'vitest';
import type { SheetRow } from '$lib/contracts.js';
import { answerRequests, type Asked } from '$lib/testing.js';
import { Sheet, textIn, type GridRow } from './sheet.svelte.js';

const ROWS: SheetRow[] = [
	{ key: 'carrot', title: 'Carrot', values: { depth: '1' }, outside: [] },
	{ key: 'leek', title: 'Leek', values: {}, outside: [] },
	{ key: 'spade', title: 'Spade', values: {}, outside: ['depth'] }
];
const QUERY = { of: 'product' as const, q: '', category: '', missing: '' };
let restore = () => undefined as void;
afterEach(() => restore());

interface Change {
	key: string;
	value: string;
}

/** A sheet over three rows; values with a comma are refused, as the server would. */
async function open(down = () => false) {
	const server = answerRequests(({ method, body }: Asked) => {
		if (method === 'GET') return { body: { total: ROWS.length, rows: ROWS } };
		if (down()) return { status: 503, body: { title: 'Anbau cannot reach its database.' } };
		const { changes } = body as { changes: Change[] };
		const rejected = changes.flatMap(({ key, value }, i) =>
			value.includes(',') ? [{ at: `/changes/${i}/value`, key, code: 'depth', reason: 'has a comma' }] : []
		);
		return { body: { saved: changes.length - rejected.length, rejected } };
	});
	restore = server.restore;
	let drawn = 0;
	const sheet = new Sheet(() => drawn++);
	await sheet.load(QUERY);
	const row = (i: number): GridRow => {
		const found = sheet.rows[i];
		if (!found) throw new Error(`there is no row ${i}`);
		return found;
	};
	const set = (...texts: [number, string][]) =>
		sheet.change(texts.map(([i, text]) => ({ row: row(i), code: 'depth', text })));
	const settled = () => expect.poll(() => sheet.saving).toBe(0);
	const texts = () => sheet.rows.map((one) => textIn(one, 'depth'));
	const sent = () =>
		server.asked.filter((one) => one.method === 'PATCH').map((one) => (one.body as { changes: Change[] }).changes);
	return { sheet, set, settled, texts, sent, drawn: () => drawn };
}

describe('the sheet', () => {
	it('saves what is typed, in one step what was pasted, and passes over cells that do not apply', async () => {
		const { set, settled, texts, sent } = await open();
		set([0, '2'], [1, '3'], [2, '4']);
		set([0, '2']);
		await settled();
		expect(texts()).toEqual(['2', '3', '']);
		expect(sent().map((changes) => changes.map((one) => one.key))).toEqual([['carrot', 'leek']]);
	});

	it('undoes and redoes in the steps in which it was done, and saves that too', async () => {
		const { sheet, set, settled, texts, sent } = await open();
		set([0, '2'], [1, '3']);
		set([1, '5']);
		sheet.undo();
		expect(texts()).toEqual(['2', '3', '']);
		sheet.undo();
		expect([texts(), sheet.canUndo]).toEqual([['1', '', ''], false]);
		sheet.redo();
		expect(texts()).toEqual(['2', '3', '']);
		set([0, '9']);
		expect(sheet.canRedo).toBe(false);
		await settled();
		expect(sent().length).toBe(6);
	});

	it('keeps the text of a cell that is refused, says why, and forgets that once it is mended', async () => {
		const { sheet, set, settled, texts } = await open();
		set([0, '2,5'], [1, '3']);
		await settled();
		expect(texts()).toEqual(['2,5', '3', '']);
		expect(sheet.faults.map(({ row, reason }) => [row.$key, reason])).toEqual([['carrot', 'has a comma']]);
		set([0, '2.5']);
		await settled();
		expect(sheet.faults).toEqual([]);
	});

	it('says of every cell that it is not saved while the server is away, and keeps what was typed', async () => {
		let down = true;
		const { sheet, set, settled, texts } = await open(() => down);
		set([0, '2'], [1, '3']);
		await settled();
		expect([texts(), sheet.faults.length, sheet.problem]).toEqual([
			['2', '3', ''],
			2,
			'Anbau cannot reach its database.'
		]);
		down = false;
		set([0, '4'], [1, '5']);
		await settled();
		expect([sheet.faults.length, sheet.problem]).toEqual([0, '']);
	});

	it('sends a large paste in several requests', async () => {
		const { sheet, settled, sent } = await open();
		const [first] = sheet.rows;
		if (!first) throw new Error('there is a row');
		sheet.change(Array.from({ length: 25_000 }, (_, i) => ({ row: first, code: `c${i}`, text: 'x' })));
		await settled();
		expect(sent().map((changes) => changes.length)).toEqual([10_000, 10_000, 5_000]);
	});
});
