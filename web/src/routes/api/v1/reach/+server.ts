import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { countReach } from '$lib/server/work/rules.js';

export const POST = api(async ({ request }, actor) => countReach(actor, await readJson(request), Date.now()));
