import { z } from 'zod';
import { Problem, readBy } from '../problem.js';

/** What the server says of a piece and takes back without looking, so that a document read can be sent again. */
const SERVER_SAID = ['slug', 'version', 'updated', 'updatedBy', 'state', 'reach'];

/** Splits a piece document that came in into the off switch and the rest, which the core's schema reads. */
export function splitPieceInput(input: unknown): { on: boolean | undefined; [property: string]: unknown } {
	if (typeof input !== 'object' || input === null || Array.isArray(input)) {
		throw new Problem('invalid', 422, 'The piece cannot be taken as it is.', [
			{ at: '', message: 'must be an object' }
		]);
	}
	const entries = Object.entries(input).filter(([name]) => !SERVER_SAID.includes(name) && name !== 'on');
	const on = readBy(z.object({ on: z.boolean().optional() }), input, 'The piece').on;
	return { ...Object.fromEntries(entries), on };
}
