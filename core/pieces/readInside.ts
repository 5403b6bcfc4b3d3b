import { z } from 'zod';

/** Reads a value by a schema inside the transformation of another; its faults keep their places. */
export function readInside<T>(schema: z.ZodType<T>, input: unknown, context: z.RefinementCtx): T {
	const result = schema.safeParse(input);
	if (result.success) return result.data;
	for (const issue of result.error.issues) {
		const message =
			issue.code === 'unrecognized_keys'
				? `has the unknown ${issue.keys.map((key) => `“${key}”`).join(', ')}`
				: issue.message;
		context.addIssue({ code: 'custom', message, path: issue.path });
	}
	return z.NEVER;
}
