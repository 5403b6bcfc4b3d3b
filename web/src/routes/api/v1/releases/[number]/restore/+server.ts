import { z } from 'zod';
import { api, parameter } from '$lib/server/api.js';
import { readBy } from '$lib/server/problem.js';
import { restore } from '$lib/server/work/releases.js';

export const POST = api(async (event, actor) => {
	const number = readBy(
		z.coerce.number().int().min(1).max(2_000_000_000),
		parameter(event, 'number'),
		'The release number'
	);
	return restore(actor, number, Date.now());
});
