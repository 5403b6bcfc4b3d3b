import { Readable } from 'node:stream';
import { api } from '$lib/server/api.js';
import { reviewsFile } from '$lib/server/work/importReviews.js';
import { reviewQuery } from '$lib/server/work/reviews.js';

/** The reviews that a filter finds as a file, `?format=csv` or `ndjson`. */
export const GET = api(async ({ url }, actor) => {
	const format = url.searchParams.get('format') === 'ndjson' ? 'ndjson' : 'csv';
	const file = Readable.from(reviewsFile(actor, reviewQuery(url.searchParams), format), { objectMode: false });
	return new Response(Readable.toWeb(file) as ReadableStream, {
		headers: {
			'content-type': format === 'csv' ? 'text/csv; charset=utf-8' : 'application/x-ndjson; charset=utf-8',
			'content-disposition': `attachment; filename="reviews.${format}"`,
			'cache-control': 'no-store'
		}
	});
});
