import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { publish } from '$lib/server/work/releases.js';

export const POST = api(async ({ request }, actor) => publish(actor, await readJson(request), Date.now()));
