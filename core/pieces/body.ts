import { z } from 'zod';
import { templateOf } from './inline.js';
import * as parts from './parts.js';
import { readInside } from './readInside.js';

/**
 * A body is the editor's document: parts that hold parts or inline parts, as the ProseMirror schema of the editor
 * writes it to JSON.
 */
export type BodyPart =
	| parts.Paragraph
	| parts.Heading
	| parts.Image
	| parts.List
	| parts.Divider
	| parts.Quote
	| parts.Table
	| parts.Columns
	| parts.Button
	| parts.DialogButton
	| parts.IconList
	| parts.AttributeTable
	| parts.DocumentList
	| parts.PictureRow
	| parts.ProductList
	| parts.Accordion
	| parts.Media
	| parts.RawHtml
	| parts.ReviewQuote
	| parts.Snippet;

/** A body: the editor's document. */
export interface Body {
	type: 'doc';
	content: BodyPart[];
}

const inside = z.lazy(() => z.array(partSchema).min(1));
const holder = <Shape extends z.ZodRawShape>(shape: Shape) => z.lazy(() => z.strictObject(shape));
const several = <T extends z.ZodType>(child: T, most: number, what: string) =>
	z.array(child).min(1).max(most, `has more than ${most} ${what}`);

const listItemSchema = holder({ type: z.literal('listItem'), content: inside });
const listSchema = holder({
	type: z.enum(['bulletList', 'orderedList']),
	attrs: z.object({ start: z.number().int().nullish(), type: z.string().nullish() }).optional(),
	content: several(listItemSchema, 2000, 'items')
});
const quoteSchema = holder({ type: z.literal('blockquote'), content: inside });

const MAX_CELLS = 2000;
const span = z.number().int().min(1).max(100).optional();
const cellSchema = holder({
	type: z.enum(['tableCell', 'tableHeader']),
	attrs: z
		.strictObject({ colspan: span, rowspan: span, colwidth: z.array(z.number().min(0).max(4000)).nullish() })
		.optional(),
	content: inside
});
const rowSchema = holder({ type: z.literal('tableRow'), content: several(cellSchema, 100, 'cells') });
const tableSchema = holder({
	type: z.literal('table'),
	content: z
		.array(z.unknown())
		.min(1)
		.superRefine((rows, context) => {
			const cells = rows.reduce((sum: number, row) => sum + childrenOf(row).length, 0);
			const message = `has ${cells} cells, at most ${MAX_CELLS} are taken; a table of this size belongs into a file`;
			if (cells > MAX_CELLS) context.addIssue({ code: 'custom', message });
		})
		.pipe(z.array(rowSchema))
});

const columnSchema = holder({ type: z.literal('column'), content: inside });
const columnsSchema = holder({
	type: z.literal('columns'),
	content: z.array(columnSchema).min(2, 'must have two columns at least').max(4, 'has more than four columns')
});
const label = templateOf(200).min(1, 'must not be empty');
const dialogButtonSchema = holder({
	type: z.literal('dialogButton'),
	attrs: z.strictObject({ label }),
	content: inside
});
const accordionPanelSchema = holder({
	type: z.literal('accordionPanel'),
	attrs: z.strictObject({ heading: templateOf(200) }),
	content: inside
});
const accordionSchema = holder({
	type: z.literal('accordion'),
	attrs: z.strictObject({ many: z.boolean().default(false), open: z.enum(['first', 'none']).default('none') }),
	content: several(accordionPanelSchema, 100, 'panels')
});

const PARTS: Record<BodyPart['type'], z.ZodType> = {
	paragraph: parts.paragraphSchema,
	heading: parts.headingSchema,
	bulletList: listSchema,
	orderedList: listSchema,
	image: parts.imageSchema,
	blockquote: quoteSchema,
	horizontalRule: parts.dividerSchema,
	table: tableSchema,
	columns: columnsSchema,
	iconList: parts.iconListSchema,
	button: parts.buttonSchema,
	dialogButton: dialogButtonSchema,
	attributeTable: parts.attributeTableSchema,
	documentList: parts.documentListSchema,
	pictureRow: parts.pictureRowSchema,
	productList: parts.productListSchema,
	accordion: accordionSchema,
	media: parts.mediaSchema,
	rawHtml: parts.rawHtmlSchema,
	reviewQuote: parts.reviewQuoteSchema,
	snippet: parts.snippetSchema
};

/** One part. Read by its type, so that a fault is reported inside the part and not as a mismatch of all types. */
const partSchema: z.ZodType<BodyPart> = z.unknown().transform((input, context): BodyPart => {
	const type = typeof input === 'object' && input !== null && 'type' in input ? String(input.type) : '';
	if (Object.hasOwn(PARTS, type))
		return readInside(PARTS[type as BodyPart['type']] as z.ZodType<BodyPart>, input, context);
	const message = `“${type}” is not a part of a body; the parts are ${Object.keys(PARTS).join(', ')}`;
	context.addIssue({ code: 'custom', message, path: ['type'] });
	return z.NEVER;
});

/** How deep parts of a body may lie within each other. */
const MAX_NESTING = 16;

function childrenOf(value: unknown): unknown[] {
	return typeof value === 'object' && value !== null && 'content' in value && Array.isArray(value.content)
		? (value.content as unknown[])
		: [];
}

function nestingOf(value: unknown, limit: number): number {
	if (typeof value !== 'object' || value === null || limit === 0) return 0;
	let deepest = 0;
	for (const child of childrenOf(value)) deepest = Math.max(deepest, nestingOf(child, limit - 1));
	return 1 + deepest;
}

export const bodySchema: z.ZodType<Body> = z
	.unknown()
	.refine((input) => nestingOf(input, MAX_NESTING + 2) <= MAX_NESTING, {
		message: `nests its parts more than ${MAX_NESTING} deep`,
		abort: true
	})
	.pipe(z.strictObject({ type: z.literal('doc'), content: z.array(partSchema).max(2000, 'has more than 2000 parts') }));

/** A body with nothing in it. */
export function emptyBody(): Body {
	return { type: 'doc', content: [{ type: 'paragraph' }] };
}

/** Every part of a body, those inside others included, each with its JSON pointer (RFC 6901) into the body. */
export function* partsOf(body: Body): Generator<{ part: BodyPart; at: string }> {
	yield* partsInside(body, '');
}

function* partsInside(holder: unknown, at: string): Generator<{ part: BodyPart; at: string }> {
	for (const [i, child] of childrenOf(holder).entries()) {
		const own = `${at}/content/${i}`;
		if (typeof child === 'object' && child !== null && 'type' in child && String(child.type) in PARTS)
			yield { part: child as BodyPart, at: own };
		yield* partsInside(child, own);
	}
}
