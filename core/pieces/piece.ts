import { z } from 'zod';
import { slugify } from '@anbau/core/catalog';
import { ONLY_BY_HAND, parseRule, type Rule } from '@anbau/core/rules';
import type { Body } from './body.js';
import { bodyInput } from './bodyInput.js';
import { iconSchema } from './icons.js';
import { hrefSchema, templateOf } from './inline.js';
import { kindFault } from './hooks.js';
import { mediaSettings, NEW_MEDIA } from './media.js';
import { placementSchema } from './placement.js';
import { NEW_REVIEWS, reviewSettings } from './reviews.js';
import { slugSchema } from './slug.js';
import { styleSchema } from './style.js';
import { quoteText } from './textForm.js';
import { windowsSchema } from './window.js';

/** The kinds of piece that can be built. */
export const PIECE_KINDS = ['tab', 'accordion', 'message', 'media', 'reviews'] as const;
export type PieceKind = (typeof PIECE_KINDS)[number];

/** How urgently a message speaks. */
export const TONES = ['note', 'tip', 'attention', 'urgent'] as const;
export type Tone = (typeof TONES)[number];

/** The form in which a message stands: a box, a bar across, a plain line, or a dialog behind a button. */
export const MESSAGE_FORMS = ['box', 'bar', 'line', 'dialog'] as const;
export type MessageForm = (typeof MESSAGE_FORMS)[number];

const line = (limit: number) => z.string().trim().max(limit, `has more than ${limit} characters`);
const iconName = iconSchema.nullable();
/** A heading for shoppers; live values stand in it as ICU arguments. */
const headingSchema = templateOf(200).transform((heading) => heading.trim());

const targetInput = z.unknown().transform((input, context): Rule | null => {
	if (input === null) return null;
	const reading = parseRule(input);
	if (reading.ok) return reading.rule;
	for (const { at, message } of reading.faults) {
		context.addIssue({ code: 'custom', message, path: at.split('/').slice(1) });
	}
	return z.NEVER;
});

const panelSchema = z.strictObject({
	slug: slugSchema,
	heading: headingSchema,
	icon: iconName.default(null),
	body: bodyInput
});
export type Panel = z.infer<typeof panelSchema>;

/** A panel of an accordion; what is `above` it stands between it and the panel before. */
const openingPanelSchema = panelSchema.extend({ above: bodyInput.nullable().default(null) });
export type OpeningPanel = z.infer<typeof openingPanelSchema>;

const MAX_PANELS = 50;

/** The panels of a piece: at least one, each with a slug of its own. */
const panelsOf = <T extends { slug: string }>(panel: z.ZodType<T>) =>
	z
		.array(z.unknown())
		.min(1, 'must have at least one panel')
		.superRefine((panels, context) => {
			if (panels.length <= MAX_PANELS) return;
			const message = `has ${panels.length} panels, at most ${MAX_PANELS} are taken; split it into several pieces`;
			context.addIssue({ code: 'custom', message });
		})
		.pipe(z.array(panel))
		.superRefine((panels, context) => {
			const slugs = panels.map(({ slug }) => slug);
			const at = slugs.findIndex((slug, i) => slugs.indexOf(slug) < i);
			if (at >= 0)
				context.addIssue({ code: 'custom', path: [at, 'slug'], message: 'is the slug of another panel too' });
		});

export const audienceSchema = z.strictObject({
	signedIn: z.boolean().optional(),
	groups: z.array(line(100)).min(1).max(50).optional(),
	campaign: line(100).optional()
});
export type Audience = z.infer<typeof audienceSchema>;

const shared = {
	name: line(200).min(1, 'must not be empty'),
	heading: headingSchema.default(''),
	note: line(2000).default(''),
	icon: iconName.default(null),
	style: styleSchema.default({}),
	placements: z.array(placementSchema).max(50).default([]),
	target: targetInput.default(null),
	audience: audienceSchema.nullable().default(null),
	windows: windowsSchema.default([])
};

const buttonSchema = z.strictObject({ label: templateOf(100).min(1, 'must not be empty'), href: hrefSchema });

const messageSettings = z
	.strictObject({
		tone: z.enum(TONES).default('note'),
		form: z.enum(MESSAGE_FORMS).default('box'),
		/** Whether a visitor can close it; it stays closed for that visitor until its words change. */
		closable: z.boolean().default(false),
		/** What the button says that opens it, where its form is a dialog. */
		opener: templateOf(100).default(''),
		button: buttonSchema.nullable().default(null)
	})
	.refine(({ form, opener }) => form !== 'dialog' || opener.trim() !== '', {
		message: 'must say what the button is called that opens the dialog',
		path: ['opener']
	});

const NEW_MESSAGE: z.output<typeof messageSettings> = {
	tone: 'note',
	form: 'box',
	closable: false,
	opener: '',
	button: null
};

const messageSchema = z.strictObject({
	kind: z.literal('message'),
	...shared,
	body: bodyInput,
	settings: messageSettings.default({ ...NEW_MESSAGE })
});

const tabSchema = z.strictObject({
	kind: z.literal('tab'),
	...shared,
	panels: panelsOf(panelSchema),
	settings: z.strictObject({}).default({})
});

const accordionSettings = z.strictObject({
	many: z.boolean().default(false),
	open: z.enum(['first', 'none']).default('none')
});

const accordionSchema = z.strictObject({
	kind: z.literal('accordion'),
	...shared,
	panels: panelsOf(openingPanelSchema),
	settings: accordionSettings.default({ many: false, open: 'none' })
});

const mediaSchema = z.strictObject({
	kind: z.literal('media'),
	...shared,
	settings: mediaSettings.default({ ...NEW_MEDIA })
});

const reviewsSchema = z.strictObject({
	kind: z.literal('reviews'),
	...shared,
	settings: reviewSettings.default({ ...NEW_REVIEWS })
});

/** A piece's document, as it is edited and published. `on` is apart: it acts at once and is in no release. */
export const pieceSchema = z
	.discriminatedUnion('kind', [messageSchema, tabSchema, accordionSchema, mediaSchema, reviewsSchema], {
		error: `must be one of ${PIECE_KINDS.join(', ')}`
	})
	.superRefine((piece, context) => {
		const ids = piece.placements.flatMap((placement) => placement.id ?? []);
		if (new Set(ids).size < ids.length)
			context.addIssue({ code: 'custom', path: ['placements'], message: 'has two placements with the same id' });
		for (const [i, { hook }] of piece.placements.entries()) {
			const message = kindFault(piece.kind, hook);
			if (message) context.addIssue({ code: 'custom', path: ['placements', i, 'hook'], message });
		}
	});

export type Piece = z.infer<typeof pieceSchema>;
export type MessagePiece = Extract<Piece, { kind: 'message' }>;
export type TabPiece = Extract<Piece, { kind: 'tab' }>;
export type MediaPiece = Extract<Piece, { kind: 'media' }>;
export type ReviewsPiece = Extract<Piece, { kind: 'reviews' }>;
/** A piece whose content lies in panels. */
export type PanelPiece = Extract<Piece, { panels: unknown }>;
export type AccordionPiece = Extract<Piece, { kind: 'accordion' }>;

/** A new piece with nothing chosen: no target, so that it reaches nothing, and hung nowhere. */
export function newPiece(kind: PieceKind, name: string, body: Body): Piece {
	const nothing = { heading: '', note: '', icon: null, placements: [], target: null, audience: null, windows: [] };
	const own = { name, ...nothing, style: {} };
	if (kind === 'message') {
		return { ...own, kind, body, settings: { ...NEW_MESSAGE } };
	}
	if (kind === 'media') return { ...own, kind, settings: { ...NEW_MEDIA } };
	if (kind === 'reviews') return { ...own, kind, settings: { ...NEW_REVIEWS } };
	const panel = { slug: slugify(name) || kind, heading: quoteText(name), icon: null, body };
	if (kind === 'tab') return { ...own, kind, panels: [panel], settings: {} };
	return { ...own, kind, panels: [{ ...panel, above: null }], settings: { many: false, open: 'none' } };
}

/** A piece as it was kept by an earlier version, with what has come to pieces since. */
export function upgradedPiece(piece: Piece): Piece {
	const style = (piece as Partial<Piece>).style ?? {};
	if (piece.kind === 'message') return { ...piece, style, settings: { ...NEW_MESSAGE, ...piece.settings } };
	if (piece.kind === 'media') return { ...piece, style, settings: { ...NEW_MEDIA, ...piece.settings } };
	return { ...piece, style };
}

/** Whether a piece's content lies in panels. */
export function hasPanels(piece: Piece): piece is PanelPiece {
	return 'panels' in piece;
}

/** Every body of a piece, with its JSON pointer (RFC 6901) into the piece's document. */
export function bodiesOf(piece: Piece): { at: string; body: Body }[] {
	if (piece.kind === 'message') return [{ at: '/body', body: piece.body }];
	if (!hasPanels(piece)) return [];
	return piece.panels.flatMap((panel, i) => {
		const above = 'above' in panel && panel.above ? [{ at: `/panels/${i}/above`, body: panel.above }] : [];
		return [...above, { at: `/panels/${i}/body`, body: panel.body }];
	});
}

/** The texts of a piece that a product may have of its own: a message's, or each panel's by its slug. */
export function textsOf(piece: Piece): { panel: string | null; heading: string; body: Body }[] {
	if (piece.kind === 'message') return [{ panel: null, heading: '', body: piece.body }];
	if (!hasPanels(piece)) return [];
	return piece.panels.map(({ slug, heading, body }) => ({ panel: slug, heading, body }));
}

/** A piece's target as a rule to compute with; one that has not been chosen reaches nothing. */
export function effectiveTarget(piece: Pick<Piece, 'target'>): Rule {
	return piece.target ?? ONLY_BY_HAND;
}
