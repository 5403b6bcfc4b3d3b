import { z } from 'zod';
import { Temporal } from 'temporal-polyfill';

const wallTime = z
	.string()
	.regex(/^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}$/, 'must be a wall time like 2027-03-31T18:00')
	.refine((text) => {
		try {
			return Temporal.PlainDateTime.from(text, { overflow: 'reject' }).toString({ smallestUnit: 'minute' }) === text;
		} catch {
			return false;
		}
	}, 'must be a time that exists');
const hour = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time of day like 09:30');

/**
 * A time a piece is on. `from` and `until` are wall times in the store's zone; weekdays are ISO 8601 numbers, Monday
 * 1 to Sunday 7; hours that end before they begin pass midnight and belong to the day they begin on.
 */
export const windowSchema = z
	.strictObject({
		from: wallTime.nullable().default(null),
		until: wallTime.nullable().default(null),
		days: z.array(z.number().int().min(1).max(7)).max(7).default([]),
		hours: z.strictObject({ from: hour, to: hour }).nullable().default(null)
	})
	.refine(({ from, until }) => from === null || until === null || from < until, {
		message: 'must end after it begins',
		path: ['until']
	});
export type Window = z.infer<typeof windowSchema>;

/** A piece's windows: several may not say the same time twice. */
export const windowsSchema = z
	.array(windowSchema)
	.max(50)
	.superRefine((windows, context) => {
		for (const [i, window] of windows.entries()) {
			const other = windows.slice(0, i).findIndex((one) => overlap(one, window));
			if (other >= 0) context.addIssue({ code: 'custom', path: [i], message: `overlaps with window ${other + 1}` });
		}
	});

/** Whether two windows have some wall time in common. */
export function overlap(a: Window, b: Window): boolean {
	const begin = [a.from ?? '', b.from ?? ''].sort()[1] ?? '';
	const end = [a.until ?? '9', b.until ?? '9'].sort()[0] ?? '';
	if (begin >= end) return false;
	const shared = stretchesOf(a).flatMap(([from, until]) =>
		stretchesOf(b).map(([start, stop]): Span => [Math.max(from, start), Math.min(until, stop)])
	);
	const dates = datesInWeek(begin, end);
	return shared.some(([from, until]) => from < until && dates.some(([first, last]) => from < last && first < until));
}

const DAY = 1440;
const WEEK = 7 * DAY;

/** The minutes of the week, from Monday's midnight, on which a window can be on. */
function stretchesOf({ days, hours }: Window): Span[] {
	const minutes = (text: string) => Number(text.slice(0, 2)) * 60 + Number(text.slice(3));
	const [from, to] = hours ? [minutes(hours.from), minutes(hours.to)] : [0, DAY];
	const length = to <= from ? to + DAY - from : to - from;
	return (days.length > 0 ? days : [1, 2, 3, 4, 5, 6, 7]).flatMap((day) => inWeek((day - 1) * DAY + from, length));
}

/** The minutes of the week that lie between two wall times; all of them where one is open or a week lies between. */
function datesInWeek(begin: string, end: string): Span[] {
	if (begin === '' || end === '9') return [[0, WEEK]];
	const from = Temporal.PlainDateTime.from(begin);
	const length = from.until(end, { largestUnit: 'minutes' }).minutes;
	return length >= WEEK ? [[0, WEEK]] : inWeek((from.dayOfWeek - 1) * DAY + from.hour * 60 + from.minute, length);
}

/** A stretch of minutes from somewhere in the week; what passes Sunday's midnight goes on at Monday's. */
function inWeek(from: number, length: number): Span[] {
	const until = from + length;
	return until <= WEEK
		? [[from, until]]
		: [
				[from, WEEK],
				[0, until - WEEK]
			];
}

/** Whether a piece with these windows is on, has ended, or waits. */
export type WindowState = 'on' | 'waiting' | 'ended';

/**
 * The state of a piece's windows at an instant (milliseconds since the epoch) in an IANA zone, and the instant of
 * the next change, null when there is none within a year. No windows at all: always on. Wall times in a gap of
 * daylight saving move later, in an overlap the earlier one counts (Temporal's `compatible`, as in RFC 5545).
 */
export function windowsAt(
	windows: readonly Window[],
	now: number,
	zone: string
): { state: WindowState; next: number | null } {
	if (windows.length === 0) return { state: 'on', next: null };
	const spans = windows.flatMap((window) => spansOf(window, now, zone));
	const isOn = (time: number) => spans.some(([from, until]) => from <= time && time < until);
	const on = isOn(now);
	const edges = spans.flat().filter((edge) => edge > now && Number.isFinite(edge));
	const next = edges.sort((a, b) => a - b).find((edge) => isOn(edge) !== on) ?? null;
	if (on) return { state: 'on', next };
	return { state: spans.some(([from]) => from > now) ? 'waiting' : 'ended', next };
}

type Span = [from: number, until: number];

const DAYS_AHEAD = 366;

/** The stretches of time that a window is on, from yesterday to a year from now. */
function spansOf(window: Window, now: number, zone: string): Span[] {
	const begin = window.from === null ? -Infinity : wallInstant(window.from, zone);
	const end = window.until === null ? Infinity : wallInstant(window.until, zone);
	if (window.days.length === 0 && window.hours === null) return [[begin, end]];
	const today = Temporal.Instant.fromEpochMilliseconds(now).toZonedDateTimeISO(zone).toPlainDate();
	const first = begin > now ? Temporal.PlainDateTime.from(window.from ?? '').toPlainDate() : today;
	const spans: Span[] = [];
	for (let day = -1; day <= DAYS_AHEAD; day++) {
		const date = first.add({ days: day });
		if (window.days.length > 0 && !window.days.includes(date.dayOfWeek)) continue;
		const [from, until] = daySpan(date, window.hours, zone);
		if (from >= end) break;
		if (until > begin) spans.push([Math.max(from, begin), Math.min(until, end)]);
		if (spans.length > 15 && until > now) break;
	}
	return joinTouching(spans);
}

function daySpan(date: Temporal.PlainDate, hours: Window['hours'], zone: string): Span {
	const from = Temporal.PlainTime.from(hours?.from ?? '00:00');
	const to = Temporal.PlainTime.from(hours?.to ?? '00:00');
	const lastDay = Temporal.PlainTime.compare(to, from) <= 0 ? date.add({ days: 1 }) : date;
	return [instantOf(date.toPlainDateTime(from), zone), instantOf(lastDay.toPlainDateTime(to), zone)];
}

function joinTouching(spans: Span[]): Span[] {
	const joined: Span[] = [];
	for (const [from, until] of spans) {
		const last = joined.at(-1);
		if (last && last[1] >= from) last[1] = Math.max(last[1], until);
		else joined.push([from, until]);
	}
	return joined;
}

/** The instant of a wall time like `2027-03-31T18:00` in an IANA zone, in milliseconds since the epoch. */
export function wallInstant(wall: string, zone: string): number {
	return instantOf(Temporal.PlainDateTime.from(wall), zone);
}

function instantOf(wall: Temporal.PlainDateTime, zone: string): number {
	return wall.toZonedDateTime(zone, { disambiguation: 'compatible' }).epochMilliseconds;
}
