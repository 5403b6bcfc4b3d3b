import { z } from 'zod';
import { isWithin, slugify } from './category.js';

/** The types of attribute, in the order in which they are offered. */
export const ATTRIBUTE_TYPES = [
	'text',
	'longText',
	'richText',
	'number',
	'flag',
	'date',
	'choice',
	'list',
	'documents',
	'link',
	'media',
	'embed',
	'products'
] as const;
export type AttributeType = (typeof ATTRIBUTE_TYPES)[number];

/** An attribute's code: lower-case ASCII letters, digits and `_`, beginning with a letter. */
const CODE = /^[a-z][a-z0-9_]{0,62}$/;

export const attributeCodeSchema = z
	.string()
	.regex(CODE, 'must be lower-case letters, digits and _, beginning with a letter, at most 63 of them');

const line = (limit: number) => z.string().trim().max(limit, `has more than ${limit} characters`);

/**
 * What is said of an attribute beside its code. `choices` belong to the type choice, `unit` to number; `categories`
 * are keys, none for all of them.
 */
export const attributeSchema = z
	.strictObject({
		label: line(100).min(1, 'must not be empty'),
		note: line(2000).default(''),
		type: z.enum(ATTRIBUTE_TYPES, `must be one of ${ATTRIBUTE_TYPES.join(', ')}`),
		unit: line(20).default(''),
		choices: z.array(line(200).min(1, 'must not be empty')).max(500, 'has more than 500 choices').default([]),
		of: z.enum(['product', 'category']).default('product'),
		categories: z.array(z.string().min(1).max(200)).max(500).default([]),
		required: z.boolean().default(false)
	})
	.superRefine(({ type, choices }, context) => {
		if (type === 'choice' && choices.length === 0)
			context.addIssue({ code: 'custom', path: ['choices'], message: 'must name at least one choice' });
		const repeated = choices.findIndex((choice, i) => choices.indexOf(choice) < i);
		if (repeated >= 0)
			context.addIssue({ code: 'custom', path: ['choices', repeated], message: 'stands in the list twice' });
	});

/** An attribute as it is defined, once for all products or categories. */
export type AttributeDefinition = z.infer<typeof attributeSchema> & { code: string };

/** The code made from a label, `Sowing depth` → `sowing_depth`; empty when nothing of it can be kept. */
export function codeOfLabel(label: string): string {
	const code = slugify(label).replace(/-/g, '_').slice(0, 63);
	return /^[a-z]/.test(code) ? code : code === '' ? '' : `a_${code}`.slice(0, 63);
}

/** Whether something in these categories has the attribute; a definition that names no category applies to all. */
export function appliesTo({ categories }: Pick<AttributeDefinition, 'categories'>, own: readonly string[]): boolean {
	return categories.length === 0 || own.some((key) => categories.some((wanted) => isWithin(key, wanted)));
}
