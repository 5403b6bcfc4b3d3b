import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import { deliverySchema, earliestDelivery, formatLeft, formatValue, leadOf, pluralForm } from '@anbau/core/pieces';
import { bareProduct } from '../testing/bareProduct.js';

const ZONE = 'Europe/Berlin';
const settings = deliverySchema.parse({
	cutOff: '14:00',
	days: [1, 2, 3, 4, 5],
	holidays: ['2027-03-26', '2027-03-29']
});
/** A wall time in Berlin as an instant, by the Temporal polyfill. */
const at = (wall: string) => Temporal.PlainDateTime.from(wall).toZonedDateTime(ZONE).epochMilliseconds;
const delivery = (wall: string, lead: number) => earliestDelivery(at(wall), ZONE, settings, lead);

describe('the earliest delivery', () => {
	// Worked by hand with a calendar of 2027: 22 March is a Monday, Good Friday the 26th, Easter Monday the 29th; summer
	// time begins on Sunday the 28th and ends on Sunday 31 October.
	it.each([
		['in time on a working day', '2027-03-22T13:59', 1, '2027-03-23', '2027-03-22T14:00'],
		['at the cut-off it is too late', '2027-03-22T14:00', 1, '2027-03-24', null],
		['lead of nothing', '2027-03-22T09:00', 0, '2027-03-22', '2027-03-22T14:00'],
		['over a holiday, a weekend and another', '2027-03-25T09:00', 1, '2027-03-30', '2027-03-25T14:00'],
		['ordered on a holiday', '2027-03-26T09:00', 1, '2027-03-31', null],
		['fifteen working days', '2027-03-22T09:00', 15, '2027-04-14', '2027-03-22T14:00'],
		['on the day that summer time begins', '2027-03-28T12:00', 2, '2027-04-01', null],
		['on the Friday before it ends', '2027-10-29T13:00', 1, '2027-11-01', '2027-10-29T14:00'],
		['on the day that it ends', '2027-10-31T12:00', 1, '2027-11-02', null]
	])('%s', (_, wall, lead, date, cutOff) => {
		expect(delivery(wall, lead)).toMatchObject({ date, cutOff: cutOff === null ? null : at(cutOff) });
	});

	it('holds until the cut-off at which it changes, over both changes of the clocks', () => {
		for (const wall of [
			'2027-03-22T09:00',
			'2027-03-26T20:00',
			'2027-03-28T01:30',
			'2027-10-30T23:00',
			'2027-10-31T02:30'
		]) {
			const before = delivery(wall, 1);
			if (!before) throw new Error('there is a working day');
			expect(earliestDelivery(before.until - 1, ZONE, settings, 1)?.date).toBe(before.date);
			expect(earliestDelivery(before.until, ZONE, settings, 1)?.date).not.toBe(before.date);
		}
		// Friday 14:00 to Tuesday 14:00 with the hour that is lost between them.
		expect(((delivery('2027-03-25T15:00', 1)?.until ?? 0) - at('2027-03-25T14:00')) / 3_600_000).toBe(119);
	});

	it('is told the lead time by an attribute or a tag', () => {
		const own = { ...settings, leadTag: 'lead', leadAttribute: 'lead_time' };
		const lead = (tags: string[], attributes = {}) => leadOf(bareProduct({ tags, attributes }), own);
		expect([lead([]), lead(['Lead: 15 days']), lead(['lead: soon']), lead(['lead: 3'], { lead_time: 8 })]).toEqual([
			1, 15, 1, 8
		]);
	});

	it('is nothing where no day is a working day', () => {
		const closed = {
			...settings,
			days: [7],
			holidays: Array.from({ length: 400 }, (_, i) =>
				Temporal.PlainDate.from('2027-01-03').add({ weeks: i }).toString()
			)
		};
		expect(earliestDelivery(at('2027-03-22T09:00'), ZONE, closed, 0)).toBeNull();
		expect(
			deliverySchema.safeParse({ cutOff: '25:00', days: [] }).error?.issues.map((one) => one.path.join('/'))
		).toEqual(['cutOff', 'days']);
		expect(
			deliverySchema.safeParse({ cutOff: '14:00', days: [1], holidays: ['2027-02-31'] }).error?.issues[0]?.path
		).toEqual(['holidays', 0]);
	});
});

describe('how values are written', () => {
	it('plurals are those of Unicode CLDR, through Intl', () => {
		// CLDR's categories for whole numbers, from its published table of plural rules: Polish one 1, few 2–4, many 5–21.
		const polish = { one: '# roślina', few: '# rośliny', many: '# roślin', other: '# rośliny' };
		expect([1, 3, 5, 22, 112].map((n) => pluralForm(n, polish, 'pl'))).toEqual([
			'1 roślina',
			'3 rośliny',
			'5 roślin',
			'22 rośliny',
			'112 roślin'
		]);
		const english = { '=0': 'none', one: 'only # left', other: 'only # left of them' };
		expect([0, 1, 1234].map((n) => pluralForm(n, english, 'en'))).toEqual([
			'none',
			'only 1 left',
			'only 1,234 left of them'
		]);
		expect(pluralForm(2, { other: '#個' }, 'ja')).toBe('2個');
	});

	it('dates, money, numbers and the time left follow the locale', () => {
		const date = { type: 'date', date: '2027-03-31' } as const;
		expect(
			['short', 'medium', 'long', 'full', 'weekday'].map((format) => formatValue(date, 'en-GB', format as 'short'))
		).toEqual([
			'31/03/2027',
			'31 Mar 2027',
			'31 March 2027',
			expect.stringMatching(/^Wednesday,? 31 March/),
			'Wednesday'
		]);
		expect(formatValue({ type: 'number', value: 2.5, unit: 'cm' }, 'de')).toBe('2,5 cm');
		expect(formatValue({ type: 'percent', value: 11.9 }, 'en')).toBe('11%');
		expect([0, 1, 59 * 60_000, 60 * 60_000, 200 * 60_000].map((left) => formatLeft(left, 'en'))).toEqual([
			'',
			'1 min',
			'59 min',
			'1 hr',
			'3 hr 20 min'
		]);
	});
});
