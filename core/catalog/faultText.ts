import type { z } from 'zod';

/** What is wrong by a fault of a Zod schema, as the end of a plain sentence; unknown properties are named. */
export function faultText(issue: z.core.$ZodIssue): string {
	if (issue.code !== 'unrecognized_keys') return issue.message;
	return `has the unknown ${issue.keys.map((key) => `“${key}”`).join(', ')}`;
}
