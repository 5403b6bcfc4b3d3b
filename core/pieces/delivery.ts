import { z } from 'zod';
import { Temporal } from 'temporal-polyfill';
import { isIsoDate, type Product } from '@anbau/core/catalog';
import { restsOfTag } from './tagRest.js';

const day = z.string().refine(isIsoDate, 'must be a day that exists, like 2027-03-31');

/**
 * When a store sends: orders before the cut-off (wall time) of a working day count from that day. Weekdays are ISO
 * 8601 numbers, Monday 1 to Sunday 7. Lead times are in working days: of the product's attribute or the rest of its
 * tag where there is one that begins with a number, else the usual one.
 */
export const deliverySchema = z.strictObject({
	cutOff: z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time of day like 14:00'),
	days: z.array(z.number().int().min(1).max(7)).min(1, 'must name at least one working day').max(7),
	holidays: z.array(day).max(1000).default([]),
	leadDays: z.number().int('must be a whole number').min(0).max(365).default(1),
	leadTag: z.string().trim().max(60).default(''),
	leadAttribute: z.string().trim().max(63).default('')
});
export type DeliverySettings = z.infer<typeof deliverySchema>;

/** When an order of now arrives at the earliest, and until when that holds. */
export interface Delivery {
	/** A calendar day in the store's zone. */
	date: string;
	/** The instant of today's cut-off in milliseconds; null when today's has passed or today is no working day. */
	cutOff: number | null;
	/** The instant at which the date may change. */
	until: number;
}

/** How far ahead a working day is looked for. */
const HORIZON = 2000;

/**
 * The earliest delivery of an order placed at an instant (milliseconds since the epoch): today counts as the day of
 * the order if it is a working day and its cut-off has not come, else the next working day does; so many working days
 * later it arrives. Null when there is no working day within years. Cut-offs are wall times in the zone, in a gap of
 * daylight saving they move later, in an overlap the earlier one counts (Temporal's `compatible`, as in RFC 5545).
 */
export function earliestDelivery(now: number, zone: string, settings: DeliverySettings, lead: number): Delivery | null {
	const today = Temporal.Instant.fromEpochMilliseconds(now).toZonedDateTimeISO(zone).toPlainDate();
	const isWorking = workingDays(settings);
	const cutOff = instantOf(today, settings.cutOff, zone);
	const inTime = isWorking(today) && now < cutOff;
	const ordered = inTime ? today : nextWorking(today, isWorking);
	let date = ordered;
	for (let i = 0; i < lead && date; i++) date = nextWorking(date, isWorking);
	if (!ordered || !date) return null;
	const until = inTime ? cutOff : instantOf(ordered, settings.cutOff, zone);
	return { date: date.toString(), cutOff: inTime ? cutOff : null, until };
}

type IsWorking = (date: Temporal.PlainDate) => boolean;

function workingDays({ days, holidays }: DeliverySettings): IsWorking {
	const closed = new Set(holidays);
	return (date) => days.includes(date.dayOfWeek) && !closed.has(date.toString());
}

function nextWorking(after: Temporal.PlainDate, isWorking: IsWorking): Temporal.PlainDate | null {
	let date = after;
	for (let i = 0; i < HORIZON; i++) {
		date = date.add({ days: 1 });
		if (isWorking(date)) return date;
	}
	return null;
}

function instantOf(date: Temporal.PlainDate, time: string, zone: string): number {
	const wall = date.toPlainDateTime(Temporal.PlainTime.from(time));
	return wall.toZonedDateTime(zone, { disambiguation: 'compatible' }).epochMilliseconds;
}

/** A product's lead time in working days: its own, else the store's usual one. */
export function leadOf({ tags, attributes }: Product, settings: DeliverySettings): number {
	const attribute = settings.leadAttribute === '' ? undefined : attributes[settings.leadAttribute];
	const own = [attribute, ...(settings.leadTag === '' ? [] : restsOfTag(tags, settings.leadTag))];
	for (const value of own) {
		const days = typeof value === 'number' ? value : typeof value === 'string' ? leadingNumber(value) : null;
		if (days !== null && days >= 0 && days <= 3650) return Math.ceil(days);
	}
	return settings.leadDays;
}

function leadingNumber(text: string): number | null {
	const digits = /^\s*(\d{1,4})\b/.exec(text)?.[1];
	return digits === undefined ? null : Number(digits);
}

/** The day in a zone at an instant, `2027-03-31`. */
export function dayAt(now: number, zone: string): string {
	return Temporal.Instant.fromEpochMilliseconds(now).toZonedDateTimeISO(zone).toPlainDate().toString();
}

/** The instant at which a day ends in a zone, in milliseconds. */
export function endOfDay(date: string, zone: string): number {
	return instantOf(Temporal.PlainDate.from(date).add({ days: 1 }), '00:00', zone);
}
