import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import { windowsAt, windowSchema, windowsSchema, type Window } from '@anbau/core/pieces';

const window = (change: Partial<Window>): Window => windowSchema.parse(change);
const stateAt = (one: Window, instant: string, zone: string) => windowsAt([one], Date.parse(instant), zone).state;

/**
 * The changes of the clocks are the IANA time zone database's, as Temporal and the platform carry it; the instants
 * are worked out by hand from the offsets that stand beside each.
 */
describe('windows over changes of the clocks', () => {
	it('Europe/Berlin, 28 March 2027, 02:00 to 03:00 is skipped: what begins at 02:30 begins at 03:30 summer time', () => {
		const begins = window({ from: '2027-03-28T02:30' });
		// 02:30 at +01:00 is 01:30Z, which summer time calls 03:30.
		expect(stateAt(begins, '2027-03-28T01:29:00Z', 'Europe/Berlin')).toBe('waiting');
		expect(stateAt(begins, '2027-03-28T01:30:00Z', 'Europe/Berlin')).toBe('on');
	});

	it('Europe/Berlin, 31 October 2027, 02:00 to 03:00 comes twice: the earlier one counts', () => {
		const ends = window({ until: '2027-10-31T02:30' });
		// The first 02:30 is at +02:00, 00:30Z.
		expect(stateAt(ends, '2027-10-31T00:29:00Z', 'Europe/Berlin')).toBe('on');
		expect(stateAt(ends, '2027-10-31T00:30:00Z', 'Europe/Berlin')).toBe('ended');
	});

	it('America/New_York, 14 March and 7 November 2027', () => {
		const shop = window({ hours: { from: '01:30', to: '02:30' } });
		// In the gap 02:30 moves to 03:30 summer time, so that both its ends keep their hour: 06:30Z to 07:30Z.
		expect(stateAt(shop, '2027-03-14T06:29:00Z', 'America/New_York')).not.toBe('on');
		expect(stateAt(shop, '2027-03-14T07:29:00Z', 'America/New_York')).toBe('on');
		expect(stateAt(shop, '2027-03-14T07:30:00Z', 'America/New_York')).not.toBe('on');
		// In the overlap 01:30 is the first one, 05:30Z; 02:30 comes once, 07:30Z: two hours on the clock of UTC.
		expect(stateAt(shop, '2027-11-07T05:30:00Z', 'America/New_York')).toBe('on');
		expect(stateAt(shop, '2027-11-07T07:29:00Z', 'America/New_York')).toBe('on');
		expect(stateAt(shop, '2027-11-07T07:30:00Z', 'America/New_York')).not.toBe('on');
	});

	it('Australia/Lord_Howe moves by half an hour: 3 October 2027 at 02:00, 4 April 2027 at 02:00', () => {
		const from = window({ from: '2027-10-03T02:15' });
		// 02:15 at +10:30 is 15:45Z of the day before.
		expect(stateAt(from, '2027-10-02T15:44:00Z', 'Australia/Lord_Howe')).toBe('waiting');
		expect(stateAt(from, '2027-10-02T15:45:00Z', 'Australia/Lord_Howe')).toBe('on');
		const until = window({ until: '2027-04-04T01:45' });
		// 01:45 comes twice; the first is at +11:00, 14:45Z.
		expect(stateAt(until, '2027-04-03T14:44:00Z', 'Australia/Lord_Howe')).toBe('on');
		expect(stateAt(until, '2027-04-03T14:45:00Z', 'Australia/Lord_Howe')).toBe('ended');
	});

	it('agrees with Temporal’s own reading of wall times at any minute near a change, in three zones', () => {
		const near = fc.constantFrom(
			['Europe/Berlin', '2027-03-28T01:00Z'],
			['Europe/Berlin', '2027-10-31T01:00Z'],
			['America/New_York', '2027-03-14T07:00Z'],
			['America/New_York', '2027-11-07T06:00Z'],
			['Australia/Lord_Howe', '2027-04-03T15:00Z'],
			['Australia/Lord_Howe', '2027-10-02T15:30Z']
		);
		const minutes = fc.integer({ min: -300, max: 300 });
		fc.assert(
			fc.property(near, minutes, minutes, ([zone = '', change = ''], start, look) => {
				const at = (offset: number) => Date.parse(change) + offset * 60_000;
				const wall = Temporal.Instant.fromEpochMilliseconds(at(start)).toZonedDateTimeISO(zone).toPlainDateTime();
				const from = wall.toString({ smallestUnit: 'minute' });
				const begins = wall.toZonedDateTime(zone).epochMilliseconds;
				const { state, next } = windowsAt([window({ from })], at(look), zone);
				expect(state).toBe(at(look) >= begins ? 'on' : 'waiting');
				expect(next).toBe(at(look) >= begins ? null : begins);
			})
		);
	});
});

describe('several windows', () => {
	const fault = (windows: object[]) => {
		const result = windowsSchema.safeParse(windows);
		return result.success ? null : `${result.error.issues[0]?.path.join('/')} ${result.error.issues[0]?.message}`;
	};

	it('may not overlap, whether by dates, weekdays or hours', () => {
		const march = { from: '2027-03-01T00:00', until: '2027-04-01T00:00' };
		expect(fault([march, { from: '2027-03-31T18:00' }])).toBe('1 overlaps with window 1');
		expect(fault([march, { from: '2027-04-01T00:00' }])).toBeNull();
		expect(fault([{ days: [1, 2] }, { days: [3] }, { days: [2] }])).toBe('2 overlaps with window 1');
		const night = { days: [7], hours: { from: '22:00', to: '02:00' } };
		expect(fault([night, { days: [1], hours: { from: '01:00', to: '03:00' } }])).toBe('1 overlaps with window 1');
		expect(fault([night, { days: [1], hours: { from: '02:00', to: '03:00' } }])).toBeNull();
		// 1 and 2 March 2027 are Monday and Tuesday.
		const two = { from: '2027-03-01T00:00', until: '2027-03-03T00:00' };
		expect(fault([two, { days: [5] }])).toBeNull();
		expect(fault([two, { days: [2] }])).toBe('1 overlaps with window 1');
	});
});
