import { formatMoney, majorUnits } from '@anbau/core/catalog';
import type { Format, PluralForms } from './formats.js';
import type { LiveValue } from './liveValues.js';
import { richBody } from './richText.js';

const numbers = new Map<string, Intl.NumberFormat>();
function numberFormat(locale: string, options: Intl.NumberFormatOptions): Intl.NumberFormat {
	const id = locale + JSON.stringify(options);
	let format = numbers.get(id);
	if (!format) numbers.set(id, (format = new Intl.NumberFormat(locale, options)));
	return format;
}

const plurals = new Map<string, Intl.PluralRules>();

/**
 * The form of a plural that a number takes in a locale, its `#` replaced by the number as the locale writes it
 * (Unicode CLDR plural rules through Intl; exact numbers first, as in ICU MessageFormat).
 */
export function pluralForm(value: number, forms: PluralForms, locale: string): string {
	let rules = plurals.get(locale);
	if (!rules) plurals.set(locale, (rules = new Intl.PluralRules(locale)));
	const form = forms[`=${value}`] ?? forms[rules.select(value)] ?? forms.other ?? '#';
	return form.replace(/#/g, numberFormat(locale, {}).format(value));
}

/** A live value as a reader sees it, as plain text. */
export function formatValue(
	value: LiveValue,
	locale: string,
	format?: Format | null,
	forms?: PluralForms | null
): string {
	const whole = format === 'whole';
	switch (value.type) {
		case 'text':
			return value.text;
		case 'number': {
			if (forms) return pluralForm(value.value, forms, locale);
			const text = numberFormat(locale, { maximumFractionDigits: whole ? 0 : 15 }).format(value.value);
			return value.unit === '' ? text : `${text} ${value.unit}`;
		}
		case 'money':
			return whole ? wholeMoney(value.minor, value.currency, locale) : formatMoney(value.minor, value.currency, locale);
		case 'percent':
			// What is saved is never said to be more than it is.
			return numberFormat(locale, { style: 'percent' }).format(Math.floor(value.value) / 100);
		case 'date':
			return formatDate(value.date, locale, format);
		case 'countdown':
			return '';
		case 'rich':
			return plainText(value.text);
		case 'embed':
		case 'media':
			return value.address;
	}
}

function wholeMoney(minor: number, currency: string, locale: string): string {
	const options = { style: 'currency', currency, minimumFractionDigits: 0, maximumFractionDigits: 0 } as const;
	return numberFormat(locale, options).format(majorUnits(minor, currency));
}

function formatDate(date: string, locale: string, format: Format | null | undefined): string {
	const day = new Date(`${date}T12:00:00Z`);
	if (format === 'weekday') return new Intl.DateTimeFormat(locale, { weekday: 'long', timeZone: 'UTC' }).format(day);
	const dateStyle = format === 'short' || format === 'long' || format === 'full' ? format : 'medium';
	return new Intl.DateTimeFormat(locale, { dateStyle, timeZone: 'UTC' }).format(day);
}

/** The time that is left, in hours and minutes, as the locale writes its units; empty when none is. */
export function formatLeft(milliseconds: number, locale: string): string {
	const minutes = Math.max(0, Math.ceil(milliseconds / 60_000));
	if (minutes === 0) return '';
	const unit = (value: number, name: 'hour' | 'minute') =>
		numberFormat(locale, { style: 'unit', unit: name, unitDisplay: 'short' }).format(value);
	const hours = Math.floor(minutes / 60);
	if (hours === 0) return unit(minutes, 'minute');
	return minutes % 60 === 0 ? unit(hours, 'hour') : `${unit(hours, 'hour')} ${unit(minutes % 60, 'minute')}`;
}

/** The text of a rich text, without its elements. */
function plainText(rich: string): string {
	const lines: string[] = [];
	const walk = (node: unknown) => {
		if (typeof node !== 'object' || node === null || !('content' in node) || !Array.isArray(node.content)) return;
		const line = node.content.map((child: unknown) => textIn(child)).join('');
		if (line !== '') lines.push(line);
		node.content.forEach(walk);
	};
	walk(richBody(rich));
	return lines.join(' ');
}

function textIn(node: unknown): string {
	return typeof node === 'object' && node !== null && 'text' in node ? String(node.text) : '';
}
