import { z } from 'zod';
import { REVIEW_COLUMNS } from '@anbau/core/reviews';
import { api } from '$lib/server/api.js';
import { Problem, readBy } from '$lib/server/problem.js';
import { readJson } from '$lib/server/requestBody.js';
import { importReviews, type ReviewFormat } from '$lib/server/work/importReviews.js';
import { runJob } from '$lib/server/work/jobs.js';
import { moderate, reviewsView } from '$lib/server/work/reviews.js';

/** A page of the reviews that `state`, `product`, `rating`, `verified` and `q` find. */
export const GET = api(({ url }, actor) => reviewsView(actor, url.searchParams));

/**
 * Takes a file of reviews. `?dry=1` only says what would happen, `?columns=` names what each column of a CSV is,
 * `?job=` the job to watch or cancel it by.
 */
export const PUT = api(async ({ request, url }, actor) => {
	if (!request.body) throw new Problem('invalid', 422, 'The file is empty; its first line names the columns.');
	const body = request.body as unknown as AsyncIterable<Uint8Array>;
	const total = Number(request.headers.get('content-length')) || null;
	const options = {
		format: formatOf(request.headers.get('content-type')),
		match: matchOf(url.searchParams.get('columns')),
		dry: url.searchParams.get('dry') === '1'
	};
	return runJob(url.searchParams.get('job'), total, (job) => importReviews(actor, body, options, job));
});

/** Shows, hides or answers reviews: `{ids, state?, reason?, reply?}`. */
export const PATCH = api(async ({ request }, actor) => moderate(actor, await readJson(request)));

function formatOf(contentType: string | null): ReviewFormat {
	const type = contentType?.split(';')[0]?.trim().toLowerCase();
	if (type === 'text/csv') return 'csv';
	if (type === 'application/x-ndjson') return 'ndjson';
	throw new Problem('unsupported', 415, 'Reviews come as text/csv or application/x-ndjson.');
}

const columnsSchema = z.array(z.enum([...REVIEW_COLUMNS, '']));

/** Which column is which: names of ours between commas, nothing for a column that is left out. */
function matchOf(columns: string | null) {
	if (columns === null) return null;
	return readBy(columnsSchema, columns.split(','), 'The columns').map((name) => name || null);
}
