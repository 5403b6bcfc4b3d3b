import { z } from 'zod';
import { api } from '$lib/server/api.js';
import { readBy } from '$lib/server/problem.js';
import { readTextBody } from '$lib/server/requestBody.js';
import { sheetCsv, takeSheetFile } from '$lib/server/work/sheetFile.js';

/** The most bytes of a file of the sheet. */
const LIMIT = 64 * 1024 * 1024;

const querySchema = z.object({
	of: z.enum(['product', 'category']).default('product'),
	dry: z.stringbool().default(false)
});

export const GET = api(async ({ url }, actor) => {
	const csv = await sheetCsv(actor, url.searchParams);
	const headers = {
		'content-type': 'text/csv; charset=utf-8',
		'content-disposition': 'attachment; filename="attributes.csv"',
		'cache-control': 'no-store'
	};
	return new Response(csv, { headers });
});

/** Takes a CSV file of the sheet; `?dry=true` says what it would change and changes nothing. */
export const PUT = api(async ({ request, url }, actor) => {
	const { of, dry } = readBy(querySchema, Object.fromEntries(url.searchParams), 'The query');
	return takeSheetFile(actor, of, await readTextBody(request, LIMIT), dry);
});
