import { parseCategoryPath, type Category } from './category.js';
import { isIsoDate } from './facts.js';
import { memo } from './memo.js';
import { parseMoney } from './money.js';
import { AVAILABILITIES, type Availability } from './product.js';

/** What a cell reads as: a value, or a plain sentence saying what is wrong with it. */
export type Cell<T> = { ok: true; value: T } | { ok: false; reason: string };

/** The catalogue's columns in their documented order; attributes follow as `attribute.<code>`. */
export const CATALOG_COLUMNS = [
	'key',
	'sku',
	'title',
	'summary',
	'description',
	'price',
	'listPrice',
	'currency',
	'stock',
	'availability',
	'visible',
	'brand',
	'categories',
	'tags',
	'images',
	'created',
	'sold30',
	'url'
] as const;

export type CatalogColumn = (typeof CATALOG_COLUMNS)[number];

const ATTRIBUTE_CODE = /^[a-z][a-z0-9_]{0,62}$/;

/** The attribute code of a column named `attribute.<code>`; null when it is no such column. */
export function attributeColumn(column: string): string | null {
	if (!column.startsWith('attribute.')) return null;
	const code = column.slice('attribute.'.length);
	return ATTRIBUTE_CODE.test(code) ? code : null;
}

const good = <T>(value: T): Cell<T> => ({ ok: true, value });
const bad = (reason: string): { ok: false; reason: string } => ({ ok: false, reason });

/** Reads a text cell of limited length. */
export function readText(text: string, limit: number): Cell<string> {
	if (text.length > limit) return bad(`has ${text.length} characters, at most ${limit} are kept`);
	if (text.includes('\u0000')) return bad('contains a NUL character');
	return good(text);
}

/** Reads a product key: 1 to 200 characters, none of them a control character or white space at an end. */
export function readKey(text: string): Cell<string> {
	const key = text.trim();
	if (key === '') return bad('is empty; every row needs the key of its product');
	if (key.length > 200) return bad(`has ${key.length} characters, at most 200 are allowed`);
	if (/\p{Cc}/u.test(key)) return bad('contains a control character');
	return good(key);
}

/** Reads a three-letter ISO 4217 code. */
export function readCurrency(text: string): Cell<string> {
	const code = text.toUpperCase();
	return /^[A-Z]{3}$/.test(code) ? good(code) : bad(`“${text}” is not a currency code like EUR`);
}

/** Reads an amount into minor units. */
export function readMoney(text: string, currency: string): Cell<number> {
	return parseMoney(text, currency);
}

/** Reads a whole number of at most nine digits. */
export function readWhole(text: string): Cell<number> {
	return /^-?\d{1,9}$/.test(text) ? good(Number(text)) : bad(`“${text}” is not a whole number`);
}

const availabilityOf = new Map<string, Availability>(AVAILABILITIES.map((term) => [term.toLowerCase(), term]));

/** Reads a schema.org ItemAvailability term, bare or as its address. */
export const readAvailability = memo((text: string): Cell<Availability> => {
	const term = availabilityOf.get(text.replace(/^https?:\/\/schema\.org\//, '').toLowerCase());
	return term ? good(term) : bad(`“${text}” is not one of ${AVAILABILITIES.join(', ')}`);
});

const flags = new Map([
	['true', true],
	['yes', true],
	['1', true],
	['false', false],
	['no', false],
	['0', false]
]);

/** Reads yes or no. */
export function readFlag(text: string): Cell<boolean> {
	const flag = flags.get(text.toLowerCase());
	return flag === undefined ? bad(`“${text}” is neither yes nor no`) : good(flag);
}

/** Reads a date or an instant with its offset into a UTC instant; a bare date is its midnight in UTC. */
export const readInstant = memo((text: string): Cell<string> => {
	const parts = /^(\d{4}-\d{2}-\d{2})(T\d{2}:\d{2}(:\d{2}(\.\d{1,9})?)?(Z|[+-]\d{2}:?\d{2}))?$/.exec(text);
	if (!parts?.[1] || !isIsoDate(parts[1])) return bad(`“${text}” is not a date like 2026-05-31`);
	const time = Date.parse(parts[2] ? text : `${text}T00:00:00Z`);
	return Number.isNaN(time) ? bad(`“${text}” is not a time that exists`) : good(new Date(time).toISOString());
});

/** Reads an absolute http(s) address. */
export function readUrl(text: string): Cell<string> {
	if (text.length > 2000) return bad('is an address of more than 2000 characters');
	if (!/^https?:\/\/[^\s/?#\0]+[^\s\0]*$/i.test(text))
		return bad(`“${text}” is not an address that begins with http:// or https://`);
	return good(text);
}

/** Reads several values, trimmed, without empty ones and repeats; at most 200 of at most 200 characters. */
export function readList(parts: string[]): Cell<string[]> {
	if (parts.length > 1000) return bad(`has ${parts.length} values, at most 200 are allowed`);
	const list: string[] = [];
	for (const part of parts) {
		const value = part.trim();
		if (value !== '' && !list.includes(value)) list.push(value);
	}
	if (list.length > 200) return bad(`has ${list.length} values, at most 200 are allowed`);
	for (const value of list) {
		if (value.length > 200) return bad(`“${value.slice(0, 30)}…” has more than 200 characters`);
		if (value.includes('\u0000')) return bad('contains a NUL character');
	}
	return good(list);
}

/** Reads category paths, each into its categories from the top down. */
export function readCategories(parts: string[]): Cell<Category[][]> {
	const paths: Category[][] = [];
	for (const part of parts) {
		if (part.trim() === '') continue;
		if (part.includes('\u0000')) return bad('contains a NUL character');
		const path = parseCategoryPath(part);
		if (!path) return bad(`“${part}” is not a path of titles like Seeds > Vegetables`);
		if (path.length > 8) return bad(`“${part}” is more than 8 levels deep`);
		paths.push(path);
	}
	return good(paths);
}
