import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { LIVE_VALUE_NAME } from './liveValues.js';

/** A text's parts: plain text, or the name of a live value. */
export type TextPart = { text: string } | { value: string };

/**
 * Splits a text into plain text and live values, which stand in it as ICU MessageFormat arguments: `{product.title}`,
 * `{tag.part}`. Quoting is ICU's: `'{'` is a brace, `''` an apostrophe. Throws an Error with a plain sentence when
 * the braces do not make arguments or name no live value.
 */
export function parseText(text: string): TextPart[] {
	if (!/[{}']/.test(text)) return text === '' ? [] : [{ text }];
	return readElements(parseIcu(protect(text))).map((part) => ('text' in part ? { text: unprotect(part.text) } : part));
}

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

// An argument's name in ICU has no spaces, points or colons; ours are carried through in private-use characters.
// Angle brackets and # mean nothing to us and must not mean anything to the parser.
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
	return elements.map((element) => {
		if (element.type === TYPE.literal) return { text: element.value };
		if (element.type === TYPE.pound) return { text: '#' };
		if (element.type !== TYPE.argument) {
			throw new Error('has a live value with a format; only its plain form {product.title} is understood');
		}
		const name = unprotect(element.value);
		if (!LIVE_VALUE_NAME.test(name)) throw new Error(`names “${name}”, which is not a live value`);
		return { value: name };
	});
}
