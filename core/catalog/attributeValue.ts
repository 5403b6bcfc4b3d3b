import { readEmbedCode } from '@anbau/core/media';
import { closest } from 'fastest-levenshtein';
import type { AttributeDefinition } from './attribute.js';
import { readFlag, readText, type Cell } from './columns.js';
import { readDocuments, documentsText } from './documents.js';
import { isIsoDate } from './facts.js';
import { fold } from './fold.js';
import type { AttributeValue, DocumentEntry } from './product.js';

/** What a definition must say for a value to be read by it. */
export type ValueDefinition = Pick<AttributeDefinition, 'type' | 'unit' | 'choices'>;

const good = <T>(value: T): Cell<T> => ({ ok: true, value });
const bad = (reason: string): { ok: false; reason: string } => ({ ok: false, reason });

/**
 * Reads a value by its attribute's definition: a text as a cell of a sheet or a CSV file has it, or any JSON value.
 * Null for an empty one. Several values are an array, or a text separated by `|`.
 */
export function readAttributeValue(definition: ValueDefinition, raw: unknown): Cell<AttributeValue | null> {
	if (raw === null || raw === undefined) return good(null);
	if (Array.isArray(raw)) return readArray(definition, raw);
	if (typeof raw === 'object') return bad('takes a text, a number, yes or no, or a list, not an object');
	const text = typeof raw === 'string' ? raw : typeof raw === 'boolean' ? (raw ? 'yes' : 'no') : String(raw as number);
	if (text.trim() === '') return good(null);
	if (text.includes('\u0000')) return bad('contains a NUL character');
	return READERS[definition.type](text, definition);
}

function readArray(definition: ValueDefinition, raw: unknown[]): Cell<AttributeValue | null> {
	if (raw.length === 0) return good(null);
	if (definition.type === 'documents') return readDocuments(raw);
	if (!raw.every((part): part is string => typeof part === 'string')) return bad('takes a list of texts');
	if (definition.type === 'list' || definition.type === 'products') return listOf(raw);
	return raw.length === 1
		? readAttributeValue(definition, raw[0])
		: bad(`takes one value, not ${raw.length}; only lists, documents and products take several`);
}

type Reader = (text: string, definition: ValueDefinition) => Cell<AttributeValue | null>;

const READERS: Record<AttributeDefinition['type'], Reader> = {
	text: (text) => readText(text.trim(), 500),
	longText: (text) => readText(text, 20_000),
	richText: (text) => readText(text, 100_000),
	number: (text, { unit }) => readNumber(text.trim(), unit),
	flag: (text) => readFlag(text.trim()),
	date: (text) => readDate(text.trim()),
	choice: (text, { choices }) => readChoice(text.trim(), choices),
	list: (text) => listOf(text.split('|')),
	documents: (text) => readDocuments(text.split('|')),
	link: (text) => readAddress(text.trim(), true),
	media: (text) => readMedia(text.trim()),
	embed: (text) => readEmbed(text.trim()),
	products: (text) => listOf(text.split('|'))
};

/** An upload by what it is, or an address of the web. */
function readMedia(text: string): Cell<string> {
	return /^media:[0-9a-f]{64}\.[a-z0-9]{2,5}$/.test(text) ? good(text) : readAddress(text, true);
}

/** The address of a page in a frame; of an embed code that is pasted, the frame's own. */
function readEmbed(text: string): Cell<string> {
	if (!text.startsWith('<')) return readAddress(text, false);
	const { frame } = readEmbedCode(text);
	return frame ? good(frame.address) : bad('is an embed code without a frame');
}

/** A decimal number with a point; the attribute's own unit may stand behind it. */
function readNumber(text: string, unit: string): Cell<number> {
	const bare = unit !== '' && fold(text).endsWith(fold(unit)) ? text.slice(0, text.length - unit.length).trim() : text;
	if (/^-?\d{1,15}(\.\d{1,15})?$/.test(bare)) return good(Number(bare));
	if (/^-?\d{1,15},\d{1,15}$/.test(bare))
		return bad(`“${text}” has a comma; write it with a point, ${bare.replace(',', '.')}`);
	if (unit !== '' && /^-?\d+([.,]\d+)?\s*\D+$/.test(bare)) return bad(`“${text}” is not in ${unit}`);
	return bad(`“${text}” is not a number like 2.5`);
}

function readDate(text: string): Cell<string> {
	if (isIsoDate(text)) return good(text);
	return bad(
		/^\d{4}-\d{2}-\d{2}$/.test(text)
			? `“${text}” is a day that does not exist`
			: `“${text}” is not a date like 2027-03-31`
	);
}

function readChoice(text: string, choices: readonly string[]): Cell<string> {
	const found = choices.find((choice) => fold(choice) === fold(text));
	if (found !== undefined) return good(found);
	const near = choices.length > 0 ? closest(text, choices) : '';
	return bad(`“${text}” is not one of its choices${near ? `; “${near}” is the nearest of ${choices.length}` : ''}`);
}

function readAddress(text: string, orPath: boolean): Cell<string> {
	if (text.length > 2000) return bad('is an address of more than 2000 characters');
	if (/^https?:\/\/[^\s/?#]+[^\s]*$/i.test(text) || (orPath && /^\/[^/\s][^\s]*$|^\/$/.test(text))) return good(text);
	return bad(`“${text}” is not an address that begins with ${orPath ? 'https://, http:// or /' : 'https://'}`);
}

function listOf(parts: readonly string[]): Cell<string[] | null> {
	const list = [...new Set(parts.map((part) => part.trim()).filter((part) => part !== ''))];
	if (list.length > 200) return bad(`has ${list.length} values, at most 200 are allowed`);
	const long = list.find((part) => part.length > 500);
	if (long !== undefined) return bad(`“${long.slice(0, 30)}…” has more than 500 characters`);
	return good(list.length > 0 ? list : null);
}

/** A value as the text of a cell; `readAttributeValue` with the same definition reads it back as it is. */
export function attributeText(value: AttributeValue | null | undefined): string {
	if (value === null || value === undefined) return '';
	if (typeof value === 'boolean') return value ? 'yes' : 'no';
	if (!Array.isArray(value)) return String(value);
	return isDocuments(value) ? documentsText(value) : value.join(' | ');
}

/** Whether a value is a list of documents. */
export function isDocuments(value: AttributeValue): value is DocumentEntry[] {
	return Array.isArray(value) && typeof value[0] === 'object';
}
