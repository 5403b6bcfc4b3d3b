import { json } from '@sveltejs/kit';
import type { z } from 'zod';
import { faultText } from '@anbau/core/catalog';

/** One thing that is wrong with what was sent, and where: a JSON pointer, or a CSV row and column. */
export interface ProblemFault {
	at: string;
	message: string;
}

/** The stable types of problem documents. */
export type ProblemType =
	| 'invalid'
	| 'not-found'
	| 'unauthorized'
	| 'changed-meanwhile'
	| 'exists'
	| 'too-large'
	| 'cancelled'
	| 'database-away'
	| 'unsupported'
	| 'too-many-tries'
	| 'shop-away'
	| 'feed-away'
	| 'would-lose'
	| 'gone'
	| 'in-use'
	| 'columns'
	| 'disk-full'
	| 'nothing-to-publish';

/**
 * A failure that the caller can understand and mend, as an RFC 9457 problem document: a stable `type`, a plain
 * sentence, `at` for the first place that is wrong, all places in `faults`, and extra members.
 */
export class Problem extends Error {
	constructor(
		readonly type: ProblemType,
		readonly status: number,
		message: string,
		readonly faults: ProblemFault[] = [],
		readonly extra: Record<string, unknown> = {}
	) {
		super(message);
	}

	toResponse(): Response {
		const { type, status, message, faults, extra } = this;
		const [first] = faults;
		const body = {
			type: `urn:anbau:problem:${type}`,
			title: message,
			status,
			...(first ? { at: first.at, detail: `${first.at || 'The document'} ${first.message}`, faults } : {}),
			...extra
		};
		return json(body, { status, headers: { 'content-type': 'application/problem+json', 'cache-control': 'no-store' } });
	}
}

/** Reads a value by a schema; a problem lists every fault with its JSON pointer (RFC 6901). */
export function readBy<T>(schema: z.ZodType<T>, input: unknown, what: string): T {
	const result = schema.safeParse(input);
	if (result.success) return result.data;
	const faults = result.error.issues.map((issue) => ({ at: pointer(issue.path), message: faultText(issue) }));
	throw new Problem('invalid', 422, `${what} cannot be taken as it is.`, faults);
}

function pointer(path: PropertyKey[]): string {
	return path.map((step) => `/${String(step).replace(/~/g, '~0').replace(/\//g, '~1')}`).join('');
}
