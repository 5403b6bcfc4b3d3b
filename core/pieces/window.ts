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
	const begin = window.from === null ? -Infinity : instantOf(Temporal.PlainDateTime.from(window.from), zone);
	const end = window.until === null ? Infinity : instantOf(Temporal.PlainDateTime.from(window.until), zone);
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

function instantOf(wall: Temporal.PlainDateTime, zone: string): number {
	return wall.toZonedDateTime(zone, { disambiguation: 'compatible' }).epochMilliseconds;
}
