import { describe, expect, it } from 'vitest';
import { bodyFromMarkdown, newPiece, pieceState, windowsAt } from '@anbau/core/pieces';

describe('a piece’s state', () => {
	const piece = newPiece('message', 'M', bodyFromMarkdown('x'));
	const usual = { draft: piece, live: piece, on: true, window: 'on' as const, reach: 3, onOtherPages: false };
	it.each([
		[{}, 'live', 'on'],
		[{ live: null }, 'draft', 'on'],
		[{ draft: { ...piece, name: 'N' } }, 'changed', 'on'],
		[{ draft: null }, 'removed with the next release', 'on'],
		[{ on: false }, 'live', 'off'],
		[{ window: 'ended' as const }, 'live', 'ended'],
		[{ window: 'waiting' as const }, 'live', 'waiting'],
		[{ reach: 0 }, 'live', 'reaches nothing']
	])('with %j is %s and %s', (change, publication, running) =>
		expect(pieceState({ ...usual, ...change })).toEqual({ publication, running })
	);
});

describe('windows', () => {
	const at = (wall: string) => Date.parse(wall);
	const state = (window: object, instant: string) =>
		windowsAt([{ from: null, until: null, days: [], hours: null, ...window }], at(instant), 'Europe/Berlin');

	it('open and close on the store’s clock, and tell when', () => {
		expect(state({ until: '2027-03-31T18:00' }, '2027-03-31T15:59:00Z')).toEqual({
			state: 'on',
			next: at('2027-03-31T16:00:00Z')
		});
		expect(state({ until: '2027-03-31T18:00' }, '2027-03-31T16:00:00Z')).toEqual({ state: 'ended', next: null });
		expect(state({ from: '2027-01-01T00:00' }, '2026-12-31T22:00:00Z')).toEqual({
			state: 'waiting',
			next: at('2026-12-31T23:00:00Z')
		});
	});

	it('keep weekdays and hours, past midnight and over the change to summer time', () => {
		// 27 and 28 March 2027 are a Saturday and a Sunday; in Berlin 02:00 does not exist on the 28th.
		expect(state({ days: [6], hours: { from: '22:00', to: '04:00' } }, '2027-03-28T01:59:00Z')).toEqual({
			state: 'on',
			next: at('2027-03-28T02:00:00Z')
		});
		expect(state({ days: [1] }, '2027-03-28T20:00:00Z')).toEqual({
			state: 'waiting',
			next: at('2027-03-28T22:00:00Z')
		});
	});
});
