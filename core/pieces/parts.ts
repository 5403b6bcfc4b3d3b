import { z } from 'zod';
import { attributeCodeSchema, LIST_SOURCES } from '@anbau/core/catalog';
import { colourSchema } from './style.js';
import { iconSchema } from './icons.js';
import { hrefSchema, inlinesSchema, srcSchema, templateOf } from './inline.js';
import { mediaSettings } from './media.js';
import { sanitizeHtml } from './sanitize.js';
import type { BodyPart } from './body.js';

/**
 * The parts of a body that hold no other parts: as the ProseMirror schema of the editor writes them to JSON. Addresses
 * and labels may hold live values as ICU arguments, `…/{product.sku}`.
 */
export const paragraphSchema = z.strictObject({ type: z.literal('paragraph'), content: inlinesSchema });
export const headingSchema = z.strictObject({
	type: z.literal('heading'),
	attrs: z.strictObject({ level: z.union([z.literal(2), z.literal(3), z.literal(4)]) }),
	content: inlinesSchema
});
const alt = z.string().max(500).nullish();
export const imageSchema = z.strictObject({
	type: z.literal('image'),
	attrs: z.object({ src: srcSchema, alt, title: z.string().max(500).nullish() })
});
export const dividerSchema = z.strictObject({ type: z.literal('horizontalRule') });
export const buttonSchema = z.strictObject({
	type: z.literal('button'),
	attrs: z.strictObject({ label: templateOf(200).min(1, 'must not be empty'), href: hrefSchema })
});
export const iconListSchema = z.strictObject({
	type: z.literal('iconList'),
	attrs: z.strictObject({
		direction: z.enum(['column', 'row']).default('column'),
		size: z.number().int('must be a whole number').min(12).max(96).default(20),
		colour: colourSchema.nullish()
	}),
	content: z
		.array(
			z.strictObject({
				type: z.literal('iconItem'),
				attrs: z.strictObject({ icon: iconSchema.nullable() }),
				content: inlinesSchema
			})
		)
		.min(1)
		.max(200)
});

const codes = z.array(attributeCodeSchema).max(100, 'has more than 100 attributes');
export const attributeTableSchema = z.strictObject({
	type: z.literal('attributeTable'),
	attrs: z.strictObject({ codes })
});
export const documentListSchema = z.strictObject({ type: z.literal('documentList'), attrs: z.strictObject({ codes }) });
export const pictureRowSchema = z.strictObject({
	type: z.literal('pictureRow'),
	attrs: z.strictObject({
		pictures: z.array(z.strictObject({ src: srcSchema, alt })).max(100, 'has more than 100 pictures')
	})
});
export const productListSchema = z.strictObject({
	type: z.literal('productList'),
	attrs: z.strictObject({
		source: z.enum(LIST_SOURCES),
		/** Keys, where products are chosen by hand. */
		keys: z.array(z.string().min(1).max(200)).max(50, 'has more than 50 products').default([]),
		/** The attribute of type products, where it tells them. */
		code: attributeCodeSchema.nullish(),
		count: z.number().int('must be a whole number').min(1).max(24).default(4),
		/** Stands above the list and goes with it. */
		heading: templateOf(200).default('')
	})
});
export const rawHtmlSchema = z.strictObject({
	type: z.literal('rawHtml'),
	attrs: z.strictObject({
		html: z
			.string()
			.max(100_000, 'has more than 100000 characters')
			.transform((html) => sanitizeHtml(html).html)
	})
});
export const snippetSchema = z.strictObject({
	type: z.literal('snippet'),
	attrs: z.strictObject({
		title: z.string().trim().min(1, 'must say what it is').max(200),
		code: z.string().max(100_000, 'has more than 100000 characters'),
		height: z.number().int('must be a whole number').min(40).max(2000).default(300)
	})
});

export const reviewQuoteSchema = z.strictObject({
	type: z.literal('reviewQuote'),
	attrs: z.strictObject({
		/** Of the review that is quoted. */
		id: z.string().min(1, 'must name a review').max(100)
	})
});

/** A picture, a film or a foreign frame in a body. */
export const mediaSchema = z.strictObject({ type: z.literal('media'), attrs: mediaSettings });

export type Paragraph = z.infer<typeof paragraphSchema>;
export type Heading = z.infer<typeof headingSchema>;
export type Image = z.infer<typeof imageSchema>;
export type Divider = z.infer<typeof dividerSchema>;
export type Button = z.infer<typeof buttonSchema>;
export type IconList = z.infer<typeof iconListSchema>;
export type AttributeTable = z.infer<typeof attributeTableSchema>;
export type DocumentList = z.infer<typeof documentListSchema>;
export type PictureRow = z.infer<typeof pictureRowSchema>;
export type ProductList = z.infer<typeof productListSchema>;
export type RawHtml = z.infer<typeof rawHtmlSchema>;
export type ReviewQuote = z.infer<typeof reviewQuoteSchema>;
export type Media = z.infer<typeof mediaSchema>;
export type Snippet = z.infer<typeof snippetSchema>;

/** The parts that hold other parts. */
interface Holder<Type extends string, Child> {
	type: Type;
	content: Child[];
}
export type ListItem = Holder<'listItem', BodyPart>;
export interface List extends Holder<'bulletList' | 'orderedList', ListItem> {
	attrs?: { start?: number | null; type?: string | null } | undefined;
}
export type Quote = Holder<'blockquote', BodyPart>;
export interface TableCell extends Holder<'tableCell' | 'tableHeader', BodyPart> {
	attrs?: { colspan?: number; rowspan?: number; colwidth?: number[] | null } | undefined;
}
export type TableRow = Holder<'tableRow', TableCell>;
export type Table = Holder<'table', TableRow>;
export type Column = Holder<'column', BodyPart>;
export type Columns = Holder<'columns', Column>;
export interface DialogButton extends Holder<'dialogButton', BodyPart> {
	attrs: { label: string };
}
export interface AccordionPanel extends Holder<'accordionPanel', BodyPart> {
	attrs: { heading: string };
}
export interface Accordion extends Holder<'accordion', AccordionPanel> {
	attrs: { many: boolean; open: 'first' | 'none' };
}
