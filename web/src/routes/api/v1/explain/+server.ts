import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { explain } from '$lib/server/work/rules.js';

export const POST = api(async ({ request }, actor) => explain(actor, await readJson(request), Date.now()));
