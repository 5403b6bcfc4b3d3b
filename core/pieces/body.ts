import { z } from 'zod';
import { hrefFault, srcFault } from './address.js';
import { textFault } from './textForm.js';
import { LIVE_VALUE_NAME } from './liveValues.js';

/**
 * A body is the editor's document: blocks that hold blocks or inline parts, as the ProseMirror schema of the editor
 * writes it to JSON. Addresses may hold live values as ICU arguments, `…/{product.sku}`.
 */

const addressOf = (fault: (address: string) => string | null) =>
	z
		.string()
		.max(2000, 'has more than 2000 characters')
		.superRefine((address, context) => {
			const message = textFault(address) ?? fault(address);
			if (message) context.addIssue({ code: 'custom', message });
		});

const markSchema = z.discriminatedUnion('type', [
	z.strictObject({ type: z.literal('bold') }),
	z.strictObject({ type: z.literal('italic') }),
	z.strictObject({ type: z.literal('underline') }),
	z.strictObject({ type: z.literal('strike') }),
	z.strictObject({ type: z.literal('code') }),
	z.strictObject({ type: z.literal('link'), attrs: z.object({ href: addressOf(hrefFault) }) })
]);

const marks = z.array(markSchema).max(6).optional();

const textSchema = z.strictObject({ type: z.literal('text'), text: z.string().min(1), marks });
const liveValueSchema = z.strictObject({
	type: z.literal('liveValue'),
	attrs: z.strictObject({
		name: z.string().regex(LIVE_VALUE_NAME, 'is not a live value'),
		fallback: z.string().max(200).nullish()
	}),
	marks
});
const hardBreakSchema = z.strictObject({ type: z.literal('hardBreak'), marks });
const inlineSchema = z.discriminatedUnion('type', [textSchema, liveValueSchema, hardBreakSchema]);
const inlines = z.array(inlineSchema).optional();

const paragraphSchema = z.strictObject({ type: z.literal('paragraph'), content: inlines });
const headingSchema = z.strictObject({
	type: z.literal('heading'),
	attrs: z.strictObject({ level: z.union([z.literal(2), z.literal(3), z.literal(4)]) }),
	content: inlines
});
const imageSchema = z.strictObject({
	type: z.literal('image'),
	attrs: z.object({
		src: addressOf(srcFault),
		alt: z.string().max(500).nullish(),
		title: z.string().max(500).nullish()
	})
});

export type Mark = z.infer<typeof markSchema>;
export type Inline = z.infer<typeof inlineSchema>;
export type Paragraph = z.infer<typeof paragraphSchema>;
export type Heading = z.infer<typeof headingSchema>;
export type Image = z.infer<typeof imageSchema>;
export interface ListItem {
	type: 'listItem';
	content: BodyPart[];
}
export interface List {
	type: 'bulletList' | 'orderedList';
	attrs?: { start?: number | null; type?: string | null } | undefined;
	content: ListItem[];
}
export type BodyPart = Paragraph | Heading | Image | List;

/** A body: the editor's document. */
export interface Body {
	type: 'doc';
	content: BodyPart[];
}

const listItemSchema: z.ZodType<ListItem> = z.lazy(() =>
	z.strictObject({ type: z.literal('listItem'), content: z.array(blockSchema).min(1) })
);
const listSchema = z.lazy(() =>
	z.strictObject({
		type: z.enum(['bulletList', 'orderedList']),
		attrs: z.object({ start: z.number().int().nullish(), type: z.string().nullish() }).optional(),
		content: z.array(listItemSchema).min(1)
	})
) as z.ZodType<List>;

const BLOCKS: Record<string, z.ZodType<BodyPart>> = {
	paragraph: paragraphSchema,
	heading: headingSchema,
	image: imageSchema,
	bulletList: listSchema,
	orderedList: listSchema
};

/** One block. Read by its type, so that a fault is reported inside the block and not as a mismatch of all types. */
const blockSchema: z.ZodType<BodyPart> = z.unknown().transform((input, context): BodyPart => {
	const type = typeof input === 'object' && input !== null && 'type' in input ? String(input.type) : '';
	const schema = Object.hasOwn(BLOCKS, type) ? BLOCKS[type] : undefined;
	if (!schema) {
		const message = `“${type}” is not a part of a body; the parts are ${Object.keys(BLOCKS).join(', ')}`;
		context.addIssue({ code: 'custom', message, path: ['type'] });
		return z.NEVER;
	}
	const result = schema.safeParse(input);
	if (result.success) return result.data;
	for (const { message, path } of result.error.issues) context.addIssue({ code: 'custom', message, path });
	return z.NEVER;
});

/** How deep parts of a body may lie within each other. */
const MAX_NESTING = 12;

function nestingOf(value: unknown, limit: number): number {
	if (typeof value !== 'object' || value === null || limit === 0) return 0;
	const content = 'content' in value && Array.isArray(value.content) ? (value.content as unknown[]) : [];
	return 1 + Math.max(0, ...content.map((child) => nestingOf(child, limit - 1)));
}

export const bodySchema: z.ZodType<Body> = z
	.unknown()
	.refine((input) => nestingOf(input, MAX_NESTING + 2) <= MAX_NESTING, {
		message: `nests its parts more than ${MAX_NESTING} deep`,
		abort: true
	})
	.pipe(
		z.strictObject({ type: z.literal('doc'), content: z.array(blockSchema).max(2000, 'has more than 2000 parts') })
	);

/** A body with nothing in it. */
export function emptyBody(): Body {
	return { type: 'doc', content: [{ type: 'paragraph' }] };
}
