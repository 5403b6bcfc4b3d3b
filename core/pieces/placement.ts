import { z } from 'zod';
import { PAGE_KINDS } from '@anbau/core/catalog';
import { formOf, placementFault } from './hooks.js';
import { hookIdSchema } from './slug.js';

/** How much of its surroundings a piece takes. */
export const WIDTHS = ['column', 'container', 'full'] as const;
export const DEVICES = ['phone', 'tablet', 'desktop'] as const;
export type Device = (typeof DEVICES)[number];

/** What is counted in a text: headings, or paragraphs, which is everything that is no heading. */
export const TEXT_UNITS = ['paragraph', 'heading'] as const;
export const TEXT_SIDES = ['above', 'below'] as const;

/** A place inside a text: above or below the n-th paragraph or heading, once or at every n-th. */
export interface TextPlace {
	unit: (typeof TEXT_UNITS)[number];
	side: (typeof TEXT_SIDES)[number];
	n: number;
	every: boolean;
}

/** A place at an edge of the window: distances in pixels; `reveal` is how far the page is scrolled before it shows. */
export interface EdgePlace {
	insetInline: number;
	insetBlock: number;
	reveal: number;
	closable: boolean;
}

const pixels = (most: number) =>
	z.number().int('must be a whole number').min(0).max(most, `must be ${most} pixels at most`);

const textDetails = {
	unit: z.enum(TEXT_UNITS).optional(),
	side: z.enum(TEXT_SIDES).optional(),
	n: z.number().int('must be a whole number').min(1, 'must be 1 at least').max(999).optional(),
	every: z.boolean().optional()
};
const edgeDetails = {
	insetInline: pixels(400).optional(),
	insetBlock: pixels(400).optional(),
	reveal: pixels(100_000).optional(),
	closable: z.boolean().optional()
};

/** Where a piece hangs. What only some hooks ask for is absent elsewhere. */
export const placementSchema = z
	.strictObject({
		id: z
			.string()
			.regex(/^[A-Za-z0-9_-]{1,40}$/, 'must be letters, digits, - and _')
			.optional(),
		page: z.enum(PAGE_KINDS).default('product'),
		hook: hookIdSchema,
		priority: z.number().int('must be a whole number').min(1).max(999).default(50),
		width: z.enum(WIDTHS).default('column'),
		/** Padding at both sides, where the piece is wider than its column. */
		padding: z
			.string()
			.regex(/^(\d{1,3}px|\d{1,2}%)$/, 'must be pixels like 60px or percent like 5%')
			.optional(),
		/** The most it is wide, in pixels, centred; where it is wider than its column. */
		maxWidth: z.number().int('must be a whole number').min(100).max(4000).optional(),
		devices: z
			.array(z.enum(DEVICES))
			.min(1, 'must name at least one device')
			.max(3)
			.default([...DEVICES]),
		/** When the piece was first hung here; set by the server. Breaks ties of priority. */
		since: z.iso.datetime().optional(),
		...textDetails,
		...edgeDetails
	})
	.superRefine((placement, context) => {
		const message = placementFault(placement.page, placement.hook);
		if (message) context.addIssue({ code: 'custom', path: ['hook'], message });
		const form = formOf(placement.hook);
		for (const [details, wanted, where] of [
			[textDetails, 'text', 'in a text'],
			[edgeDetails, 'edge', 'at an edge of the window']
		] as const) {
			if (form === wanted) continue;
			for (const name of Object.keys(details)) {
				if (placement[name as keyof typeof placement] !== undefined)
					context.addIssue({ code: 'custom', path: [name], message: `means something only ${where}` });
			}
		}
	});
export type Placement = z.infer<typeof placementSchema>;

/** Where in the text a placement on the hook `text` is. */
export function textPlace({ unit, side, n, every }: Placement): TextPlace {
	return { unit: unit ?? 'paragraph', side: side ?? 'below', n: n ?? 1, every: every ?? false };
}

/** How a placement on an edge hook stands there. */
export function edgePlace({ insetInline, insetBlock, reveal, closable }: Placement): EdgePlace {
	return {
		insetInline: insetInline ?? 20,
		insetBlock: insetBlock ?? 20,
		reveal: reveal ?? 0,
		closable: closable ?? false
	};
}

/** A placement moved to another hook, without the details that mean nothing there. */
export function movedTo(placement: Placement, hook: string): Placement {
	const { unit, side, n, every, insetInline, insetBlock, reveal, closable, ...rest } = placement;
	const form = formOf(hook);
	const kept = {
		...(form === 'text' ? { unit, side, n, every } : {}),
		...(form === 'edge' ? { insetInline, insetBlock, reveal, closable } : {})
	};
	return { ...rest, ...defined(kept), hook };
}

function defined<T extends object>(record: T): Partial<{ [K in keyof T]: Exclude<T[K], undefined> }> {
	return Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)) as never;
}
