import { api } from '$lib/server/api.js';
import { Problem } from '$lib/server/problem.js';
import { storeStates } from '$lib/server/state/storeStates.js';
import { importCatalog, type CatalogFormat } from '$lib/server/work/importCatalog.js';
import { runJob } from '$lib/server/work/jobs.js';

/** Takes a catalogue file. `?mode=replace` removes absent products; `?job=` names the job to watch or cancel it by. */
export const PUT = api(async ({ request, url }, actor) => {
	const format = formatOf(request.headers.get('content-type'));
	const mode = url.searchParams.get('mode') ?? 'upsert';
	if (mode !== 'upsert' && mode !== 'replace') {
		throw new Problem('invalid', 422, 'The mode is not known.', [
			{ at: '?mode', message: 'must be upsert or replace' }
		]);
	}
	if (!request.body) throw new Problem('invalid', 422, 'The file is empty; its first line names the columns.');
	const body = request.body as unknown as AsyncIterable<Uint8Array>;
	const total = Number(request.headers.get('content-length')) || null;
	const { store } = await storeStates.byId(actor.storeId, Date.now());
	return runJob(url.searchParams.get('job'), total, (job) => importCatalog(store, actor, body, format, mode, job));
});

function formatOf(contentType: string | null): CatalogFormat {
	const type = contentType?.split(';')[0]?.trim().toLowerCase();
	if (type === 'text/csv') return 'csv';
	if (type === 'application/x-ndjson') return 'ndjson';
	throw new Problem('unsupported', 415, 'A catalogue comes as text/csv or application/x-ndjson.');
}
