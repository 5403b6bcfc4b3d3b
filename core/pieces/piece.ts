import { z } from 'zod';
import { PAGE_KINDS, slugify } from '@anbau/core/catalog';
import { ONLY_BY_HAND, parseRule, type Rule } from '@anbau/core/rules';
import { hrefFault } from './address.js';
import { bodySchema, type Body } from './body.js';
import { bodyFromHtml } from './fromHtml.js';
import { bodyFromMarkdown } from './fromMarkdown.js';
import { ICON_NAMES } from './icons.js';
import { placementFault } from './hooks.js';
import { windowSchema } from './window.js';

/** The kinds of piece that can be built. */
export const PIECE_KINDS = ['tab', 'message'] as const;
export type PieceKind = (typeof PIECE_KINDS)[number];

/** How urgently a message speaks. */
export const TONES = ['note', 'tip', 'attention', 'urgent'] as const;
export type Tone = (typeof TONES)[number];

/** How much of its surroundings a piece takes. */
export const WIDTHS = ['column', 'container', 'full'] as const;
export const DEVICES = ['phone', 'tablet', 'desktop'] as const;
export type Device = (typeof DEVICES)[number];

/** A slug: lower-case ASCII letters and digits, words joined by single hyphens. */
export const slugSchema = z
	.string()
	.regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/, 'must be lower-case letters and digits, joined by single hyphens')
	.max(100);

const line = (limit: number) => z.string().trim().max(limit, `has more than ${limit} characters`);
const iconName = z.enum(ICON_NAMES).nullable();

const textForm = (name: 'markdown' | 'html', read: (text: string) => Body) =>
	z.strictObject({ [name]: z.string().max(500_000) }).transform((input, context) => {
		try {
			return read(input[name] ?? '');
		} catch (error) {
			context.addIssue({
				code: 'custom',
				path: [name],
				message: error instanceof Error ? error.message : String(error)
			});
			return z.NEVER;
		}
	});

const fromMarkdown = textForm('markdown', bodyFromMarkdown).pipe(bodySchema as z.ZodType<Body, Body>);
const fromHtml = textForm('html', bodyFromHtml).pipe(bodySchema as z.ZodType<Body, Body>);

/** A body going in: the editor's document, or `{markdown}` or `{html}`. */
export const bodyInput = z.unknown().transform((input, context): Body => {
	const has = (name: string) => typeof input === 'object' && input !== null && name in input;
	const schema = has('markdown') ? fromMarkdown : has('html') ? fromHtml : bodySchema;
	const result = schema.safeParse(input);
	if (result.success) return result.data;
	for (const { message, path } of result.error.issues) context.addIssue({ code: 'custom', message, path });
	return z.NEVER;
});

const targetInput = z.unknown().transform((input, context): Rule | null => {
	if (input === null) return null;
	const reading = parseRule(input);
	if (reading.ok) return reading.rule;
	for (const { at, message } of reading.faults) {
		context.addIssue({ code: 'custom', message, path: at.split('/').slice(1) });
	}
	return z.NEVER;
});

export const panelSchema = z.strictObject({
	slug: slugSchema,
	heading: line(200),
	icon: iconName.default(null),
	body: bodyInput
});
export type Panel = z.infer<typeof panelSchema>;

export const placementSchema = z
	.strictObject({
		id: z
			.string()
			.regex(/^[A-Za-z0-9_-]{1,40}$/, 'must be letters, digits, - and _')
			.optional(),
		page: z.enum(PAGE_KINDS).default('product'),
		hook: z.string().min(1).max(60),
		priority: z.number().int('must be a whole number').min(1).max(999).default(50),
		width: z.enum(WIDTHS).default('column'),
		devices: z
			.array(z.enum(DEVICES))
			.min(1, 'must name at least one device')
			.max(3)
			.default([...DEVICES]),
		/** When the piece was first hung here; set by the server. Breaks ties of priority. */
		since: z.iso.datetime().optional()
	})
	.superRefine((placement, context) => {
		const message = placementFault(placement.page, placement.hook);
		if (message) context.addIssue({ code: 'custom', path: ['hook'], message });
	});
export type Placement = z.infer<typeof placementSchema>;

export const audienceSchema = z.strictObject({
	signedIn: z.boolean().optional(),
	groups: z.array(line(100)).min(1).max(50).optional(),
	campaign: line(100).optional()
});
export type Audience = z.infer<typeof audienceSchema>;

const shared = {
	name: line(200).min(1, 'must not be empty'),
	heading: line(200).default(''),
	note: line(2000).default(''),
	icon: iconName.default(null),
	placements: z.array(placementSchema).max(50).default([]),
	target: targetInput.default(null),
	audience: audienceSchema.nullable().default(null),
	windows: z.array(windowSchema).max(50).default([])
};

const buttonSchema = z.strictObject({
	label: line(100).min(1, 'must not be empty'),
	href: z
		.string()
		.max(2000)
		.superRefine((href, context) => {
			const message = hrefFault(href);
			if (message) context.addIssue({ code: 'custom', message });
		})
});

const messageSettings = z.strictObject({
	tone: z.enum(TONES).default('note'),
	button: buttonSchema.nullable().default(null)
});

const messageSchema = z.strictObject({
	kind: z.literal('message'),
	...shared,
	body: bodyInput,
	settings: messageSettings.default({ tone: 'note', button: null })
});

const tabSchema = z.strictObject({
	kind: z.literal('tab'),
	...shared,
	panels: z
		.array(panelSchema)
		.min(1, 'must have at least one panel')
		.max(50)
		.refine(
			(panels) => new Set(panels.map((panel) => panel.slug)).size === panels.length,
			'has two panels with the same slug'
		),
	settings: z.strictObject({}).default({})
});

/** A piece's document, as it is edited and published. `on` is apart: it acts at once and is in no release. */
export const pieceSchema = z
	.discriminatedUnion('kind', [messageSchema, tabSchema], { error: `must be one of ${PIECE_KINDS.join(', ')}` })
	.superRefine((piece, context) => {
		const ids = piece.placements.flatMap((placement) => placement.id ?? []);
		if (new Set(ids).size < ids.length)
			context.addIssue({ code: 'custom', path: ['placements'], message: 'has two placements with the same id' });
	});

export type Piece = z.infer<typeof pieceSchema>;
export type MessagePiece = Extract<Piece, { kind: 'message' }>;
export type TabPiece = Extract<Piece, { kind: 'tab' }>;

/** A new piece with nothing chosen: no target, so that it reaches nothing, and hung nowhere. */
export function newPiece(kind: PieceKind, name: string, body: Body): Piece {
	const own = { name, heading: '', note: '', icon: null, placements: [], target: null, audience: null, windows: [] };
	if (kind === 'message') return { ...own, kind, body, settings: { tone: 'note', button: null } };
	return { ...own, kind, panels: [{ slug: slugify(name) || 'tab', heading: name, icon: null, body }], settings: {} };
}

/** A piece's target as a rule to compute with; one that has not been chosen reaches nothing. */
export function effectiveTarget(piece: Pick<Piece, 'target'>): Rule {
	return piece.target ?? ONLY_BY_HAND;
}
