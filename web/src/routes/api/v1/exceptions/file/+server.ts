import { api } from '$lib/server/api.js';
import { exceptionsFile } from '$lib/server/work/exceptionsFile.js';

/** Every exception as CSV. */
export const GET = api(async (_, actor) => {
	const headers = {
		'content-type': 'text/csv; charset=utf-8',
		'content-disposition': 'attachment; filename="exceptions.csv"',
		'cache-control': 'no-store'
	};
	return new Response(await exceptionsFile(actor), { headers });
});
