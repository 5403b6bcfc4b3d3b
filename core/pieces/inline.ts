import { z } from 'zod';
import { hrefFault, srcFault } from './address.js';
import { FORMATS, PLURAL_KEYS } from './formats.js';
import { isLiveValue } from './liveNames.js';
import { textFault } from './textForm.js';

/** A text that may hold live values as ICU arguments. */
export const templateOf = (limit: number, fault: (text: string) => string | null = () => null) =>
	z
		.string()
		.max(limit, `has more than ${limit} characters`)
		.superRefine((text, context) => {
			const message = textFault(text) ?? fault(text);
			if (message) context.addIssue({ code: 'custom', message });
		});

/** Where a link leads, with live values as ICU arguments. */
export const hrefSchema = templateOf(2000, hrefFault);
/** Where a picture comes from, with live values as ICU arguments. */
export const srcSchema = templateOf(2000, srcFault);

const markSchema = z.discriminatedUnion('type', [
	z.strictObject({ type: z.literal('bold') }),
	z.strictObject({ type: z.literal('italic') }),
	z.strictObject({ type: z.literal('underline') }),
	z.strictObject({ type: z.literal('strike') }),
	z.strictObject({ type: z.literal('code') }),
	z.strictObject({ type: z.literal('link'), attrs: z.object({ href: hrefSchema }) })
]);

const marks = z.array(markSchema).max(6).optional();

const textSchema = z.strictObject({ type: z.literal('text'), text: z.string().min(1), marks });
const liveValueSchema = z.strictObject({
	type: z.literal('liveValue'),
	attrs: z.strictObject({
		name: z.string().refine(isLiveValue, 'is not a live value'),
		fallback: z.string().max(200).nullish(),
		format: z.enum(FORMATS).nullish(),
		forms: z
			.record(z.string().regex(PLURAL_KEYS, 'is not a plural form'), z.string().max(200))
			.refine((forms) => 'other' in forms, 'needs the form “other”')
			.nullish()
	}),
	marks
});
const hardBreakSchema = z.strictObject({ type: z.literal('hardBreak'), marks });
const inlineSchema = z.discriminatedUnion('type', [textSchema, liveValueSchema, hardBreakSchema]);

/** A line of inline parts. */
export const inlinesSchema = z.array(inlineSchema).optional();

export type Mark = z.infer<typeof markSchema>;
export type Inline = z.infer<typeof inlineSchema>;
