import { afterEach, describe, expect, it } from 'vitest';
import { emptyBody, newPiece } from '@anbau/core/pieces';
import type { PieceView } from '$lib/contracts.js';
import { answerRequests, type Asked } from '$lib/testing.js';
import { Workbench } from './workbench.svelte.js';

const view = (change: Partial<PieceView> = {}): PieceView =>
	({
		...newPiece('message', 'Notice', emptyBody()),
		slug: 'notice',
		on: true,
		version: 1,
		updated: '2027-03-31T10:00:00Z',
		updatedBy: 'Ada',
		state: { publication: 'draft', running: 'on' },
		reach: 0,
		...change
	}) as PieceView;
let restore = () => undefined as void;
afterEach(() => restore());

/** A workbench whose server answers every write by the given function. */
function open(put: (asked: Asked) => { status?: number; body: unknown }) {
	const server = answerRequests((asked) =>
		asked.path.endsWith('/impact') ? { body: { changes: 0, pages: 0 } } : put(asked)
	);
	restore = server.restore;
	const writes = () => server.asked.filter((one) => one.method === 'PUT');
	return { bench: new Workbench(view()), writes };
}

describe('the workbench', () => {
	it('saves what was typed, quick edits of one place as one step of undo', async () => {
		let version = 1;
		const { bench, writes } = open(({ body }) => ({ body: view({ ...(body as PieceView), version: ++version }) }));
		for (const name of ['N', 'No', 'Not']) bench.set('name', { name });
		expect(await bench.flush()).toBe(true);
		expect(writes().map((one) => (one.body as PieceView).name)).toEqual(['Not']);
		bench.undo();
		expect(bench.piece.name).toBe('Notice');
		bench.redo();
		expect(await bench.flush()).toBe(true);
		expect([bench.piece.name, bench.saveState]).toEqual(['Not', 'saved']);
	});

	it('keeps what cannot be saved, says where it is wrong, and saves it once it is mended', async () => {
		const { bench } = open(({ body }) =>
			(body as PieceView).name === ''
				? { status: 422, body: { title: 'No.', faults: [{ at: '/name', message: 'must not be empty' }] } }
				: { body: view(body as PieceView) }
		);
		bench.set('name', { name: '' });
		expect(await bench.flush()).toBe(false);
		expect([bench.piece.name, bench.faults]).toEqual(['', [{ at: '/name', message: 'must not be empty' }]]);
		bench.set('name', { name: 'Mended' });
		expect(await bench.flush()).toBe(true);
		expect(bench.faults).toEqual([]);
	});

	it('stops at a colleague’s change until one of the two is chosen; the other is one undo away', async () => {
		const theirs = view({ name: 'Theirs', version: 7, updatedBy: 'Ben' });
		const { bench, writes } = open(({ body }) =>
			writes().length > 1 ? { body: view(body as PieceView) } : { status: 412, body: { title: 'No.', current: theirs } }
		);
		bench.set('name', { name: 'Mine' });
		expect(await bench.flush()).toBe(false);
		expect([bench.saveState, bench.theirs?.name]).toEqual(['conflict', 'Theirs']);
		bench.takeTheirs();
		expect(bench.piece.name).toBe('Theirs');
		bench.undo();
		expect(await bench.flush()).toBe(true);
		expect((writes().at(-1)?.body as PieceView).name).toBe('Mine');
	});
});
