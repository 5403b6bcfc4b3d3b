import { parse, TYPE, type MessageFormatElement, type PluralElement } from '@formatjs/icu-messageformat-parser';
import { memo } from '@anbau/core/catalog';
import { FORMATS, PLURAL_KEYS, type Format, type PluralForms } from './formats.js';
import { isLiveValue } from './liveNames.js';

/** A live value in a text, and how it is written. */
export interface ValuePart {
	value: string;
	format?: Format;
	forms?: PluralForms;
}

/** A text's parts: plain text, or a live value. */
export type TextPart = { text: string } | ValuePart;

/**
 * Splits a text into plain text and live values, which stand in it as ICU MessageFormat arguments: `{product.title}`,
 * `{delivery.date, date, long}`, `{product.price, number, whole}`, `{product.stock, plural, one {# left} other {# left}}`.
 * Quoting is ICU's: `'{'` is a brace, `''` an apostrophe. Throws an Error with a plain sentence when the braces do not
 * make arguments or name no live value.
 */
export function parseText(text: string): readonly TextPart[] {
	if (!/[{}']/.test(text)) return text === '' ? [] : [{ text }];
	return parsed(text);
}

/** The same addresses and labels are filled in for page after page. */
const parsed = memo((text: string): readonly TextPart[] => readElements(parseIcu(protect(text))));

/** What is wrong with the live values of a text; null when nothing is. */
export function textFault(text: string): string | null {
	try {
		parseText(text);
		return null;
	} catch (error) {
		return error instanceof Error ? error.message : String(error);
	}
}

/** Writes plain text so that `parseText` reads it back as it is. */
export function quoteText(text: string): string {
	// Inside quotes an apostrophe is written twice too, so that one behind a brace stays within them.
	return text.replace(/[{}][{}']*|'/g, (run) => {
		const doubled = run.replace(/'/g, "''");
		return run === "'" ? doubled : `'${doubled}'`;
	});
}

/** Writes a live value as the argument that `parseText` reads. */
export function writeValue({ value, format, forms }: ValuePart): string {
	if (forms) {
		const written = Object.entries(forms).map(([key, form]) => `${key} {${quoteText(form)}}`);
		return `{${value}, plural, ${written.join(' ')}}`;
	}
	if (!format) return `{${value}}`;
	return `{${value}, ${format === 'whole' ? 'number' : 'date'}, ${format}}`;
}

// An argument's name in ICU has no spaces, points or colons; ours are carried through in private-use characters.
// Angle brackets mean nothing to us and must not mean anything to the parser.
const PROTECTED: Record<string, string> = { '<': '\ue000', '>': '\ue001', '.': '\ue002', ' ': '\ue003', '-': '\ue004' };
const UNPROTECTED = Object.fromEntries(Object.entries(PROTECTED).map(([plain, safe]) => [safe, plain]));

function protect(text: string): string {
	const bare = text.replace(/[<>]/g, (char) => PROTECTED[char] ?? char);
	return bare.replace(/\{\s*([^{}',]+?)\s*([,}])/g, (_, name: string, end: string) => {
		return `{${name.replace(/[. -]/g, (char) => PROTECTED[char] ?? char)}${end}`;
	});
}

function unprotect(text: string): string {
	return text.replace(/[\ue000-\ue004]/g, (char) => UNPROTECTED[char] ?? char);
}

function parseIcu(text: string): MessageFormatElement[] {
	try {
		return parse(text, { ignoreTag: true });
	} catch {
		throw new Error("has braces that do not fit together; a live value is written {product.title}, a plain brace '{'");
	}
}

function readElements(elements: MessageFormatElement[]): TextPart[] {
	return elements.map((element): TextPart => {
		switch (element.type) {
			case TYPE.literal:
				return { text: unprotect(element.value) };
			case TYPE.pound:
				return { text: '#' };
			case TYPE.argument:
				return { value: nameOf(element.value) };
			case TYPE.date:
			case TYPE.number:
				return { value: nameOf(element.value), format: formatOf(element.style) };
			case TYPE.plural:
				return { value: nameOf(element.value), forms: formsOf(element) };
			default:
				throw new Error('has a live value in a form that is not known; there are plain, date, number and plural');
		}
	});
}

function nameOf(protectedName: string): string {
	const name = unprotect(protectedName);
	if (!isLiveValue(name)) throw new Error(`names “${name}”, which is not a live value`);
	return name;
}

function formatOf(style: unknown): Format {
	const format = FORMATS.find((one) => one === style);
	if (!format) throw new Error(`has a live value with an unknown format; there are ${FORMATS.join(', ')}`);
	return format;
}

function formsOf({ options }: PluralElement): PluralForms {
	const forms: PluralForms = {};
	for (const [key, { value }] of Object.entries(options)) {
		if (!PLURAL_KEYS.test(key)) throw new Error(`has the plural form “${key}”, which no language has`);
		forms[key] = value
			.map((part) => {
				if (part.type === TYPE.literal) return unprotect(part.value);
				if (part.type === TYPE.pound) return '#';
				throw new Error('has a live value inside a plural form; a form holds text and # for the number');
			})
			.join('');
	}
	return forms;
}
