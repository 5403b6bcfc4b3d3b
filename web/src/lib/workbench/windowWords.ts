export const DAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

/** Weekdays (ISO 8601 numbers) in words: `Monday to Friday`, `Saturday and Sunday`; none is every day. */
export function daysWords(days: readonly number[]): string {
	const names = days.map((day) => DAY_NAMES[day - 1] ?? '');
	const [first = 0] = days;
	const isRow = days.length > 2 && days.every((day, i) => day === first + i);
	if (days.length === 0) return 'on every day';
	if (isRow) return `from ${names[0]} to ${names.at(-1)}`;
	return `on ${names.length < 2 ? names[0] : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`}`;
}

/** A wall time as people write it: `31 March 2027, 18:00`. */
export function wallWords(wall: string): string {
	const format = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeStyle: 'short', timeZone: 'UTC' });
	return format.format(new Date(`${wall}Z`)).replace(' at ', ', ');
}
