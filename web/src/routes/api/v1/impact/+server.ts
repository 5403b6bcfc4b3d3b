import { api } from '$lib/server/api.js';
import { waiting } from '$lib/server/work/releases.js';

/** What publishing would change: everything that waits, or with `?piece=` (repeatable) only these pieces. */
export const GET = api(({ url }, actor) => {
	const pieces = url.searchParams.getAll('piece');
	return waiting(actor, pieces.length > 0 ? pieces : null, Date.now());
});
