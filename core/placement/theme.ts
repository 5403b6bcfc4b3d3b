import { z } from 'zod';
import { PAGE_KINDS } from '@anbau/core/catalog';
import { formOf, hookById, hookIdSchema, iconSchema } from '@anbau/core/pieces';

/** How a hook stands to the element that its selector finds. */
export const POSITIONS = ['before', 'after', 'first', 'last'] as const;
export type Position = (typeof POSITIONS)[number];

const selectorSchema = z.string().trim().min(1, 'must not be empty').max(500);

const bindingSchema = z.strictObject({ selector: selectorSchema, position: z.enum(POSITIONS).default('after') });

/**
 * A hook as a store has it: one that every store has with a binding to this theme, or one of the owner's own. Without
 * a binding a marker in the theme is looked for; a marker wins over a binding. Where neither is found, what hangs
 * here hangs on the fallback hook, if there is one.
 */
export interface ThemeHook {
	id: string;
	title: string;
	pages: (typeof PAGE_KINDS)[number][];
	binding: Binding | null;
	fallback: string | null;
}
export type Binding = z.infer<typeof bindingSchema>;

/** What is sent to write a hook; title and page kinds count for the owner's own hooks only. */
export const themeHookSchema = z.strictObject({
	title: z.string().trim().max(100).default(''),
	pages: z.array(z.enum(PAGE_KINDS)).max(6).default([]),
	binding: bindingSchema.nullable().default(null),
	fallback: hookIdSchema.nullable().default(null)
});

/** A tab that the store's theme brings itself. */
export interface HouseTab {
	slug: string;
	name: string;
	hidden: boolean;
	priority: number;
	icon: string | null;
	/** A CSS selector of its panel; without one it is found by its marker or by what its label says. */
	binding: string | null;
}

export const houseTabSchema = z.strictObject({
	name: z.string().trim().min(1, 'must not be empty').max(200),
	hidden: z.boolean().default(false),
	priority: z.number().int('must be a whole number').min(1).max(999),
	icon: iconSchema.nullable().default(null),
	binding: selectorSchema.nullable().default(null)
});

/** An element that the theme already has, which is to hang on another hook instead. */
export interface HousePart {
	slug: string;
	name: string;
	page: (typeof PAGE_KINDS)[number];
	/** A CSS selector; where it finds nothing, nothing happens. */
	from: string;
	hook: string;
	priority: number;
}

export const housePartSchema = z
	.strictObject({
		name: z.string().trim().min(1, 'must not be empty').max(100),
		page: z.enum(PAGE_KINDS).default('product'),
		from: selectorSchema,
		hook: hookIdSchema,
		priority: z.number().int('must be a whole number').min(1).max(999).default(50)
	})
	.superRefine(({ hook }, context) => {
		const message = `the theme’s own parts hang on hooks between parts of the page, not on “${hook}”`;
		if (formOf(hook) !== 'point') context.addIssue({ code: 'custom', path: ['hook'], message });
	});

/** How the tab strip is: at or below `accordionBelow` pixels of its own width it becomes an accordion; 0 for never. */
export interface Strip {
	accordionBelow: number;
}
export const DEFAULT_STRIP: Strip = { accordionBelow: 480 };
export const stripSchema = z.strictObject({
	accordionBelow: z.number().int('must be a whole number').min(0).max(2000).default(DEFAULT_STRIP.accordionBelow)
});

/** The owner's own hooks among a store's. */
export function ownHooks(hooks: readonly ThemeHook[]): ThemeHook[] {
	return hooks.filter(({ id }) => !hookById(id));
}

/** A hook's position in words, one of the owner's own among them. */
export function hookTitle(id: string, hooks: readonly ThemeHook[]): string {
	return hookById(id)?.title ?? (hooks.find((hook) => hook.id === id)?.title || id);
}
