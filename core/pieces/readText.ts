import type { Inline, Mark } from './inline.js';
import { parseText, type ValuePart } from './textForm.js';

/** How a text form is read into a body. */
export interface ReadingOptions {
	/** Whether braces are live values; else they are text like any other. */
	live: boolean;
}

/** A run of text as inline parts with their marks; its live values are ICU arguments. */
export function inlinesOf(text: string, marks: readonly Mark[], { live }: ReadingOptions): Inline[] {
	const own = marks.length > 0 ? { marks: [...marks] } : {};
	if (!live) return text === '' ? [] : [{ type: 'text', text, ...own }];
	return parseText(text).map((part): Inline =>
		'text' in part ? { type: 'text', text: part.text, ...own } : { ...nodeOf(part), ...own }
	);
}

function nodeOf({ value, format, forms }: ValuePart): Extract<Inline, { type: 'liveValue' }> {
	return { type: 'liveValue', attrs: { name: value, ...(format ? { format } : {}), ...(forms ? { forms } : {}) } };
}
