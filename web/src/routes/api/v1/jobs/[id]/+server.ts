import { api, parameter } from '$lib/server/api.js';
import { jobById } from '$lib/server/work/jobs.js';

/** How far a running job is. */
export const GET = api(async (event) => {
	const { rows, bytes, totalBytes } = jobById(parameter(event, 'id'));
	return { rows, bytes, totalBytes };
});

/** Asks a running job to stop; it then undoes what it did. */
export const DELETE = api(async (event) => {
	jobById(parameter(event, 'id')).cancel();
	return new Response(null, { status: 202 });
});
