import { z } from 'zod';
import { faultText } from '@anbau/core/catalog';

/** Reads a value by a schema inside the transformation of another; its faults keep their places. */
export function readInside<T>(schema: z.ZodType<T>, input: unknown, context: z.RefinementCtx): T {
	const result = schema.safeParse(input);
	if (result.success) return result.data;
	for (const issue of result.error.issues) {
		context.addIssue({ code: 'custom', message: faultText(issue), path: issue.path });
	}
	return z.NEVER;
}
