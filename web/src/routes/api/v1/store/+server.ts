import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { patchStore } from '$lib/server/work/storeSettings.js';
import { storeView } from '$lib/server/work/storeView.js';

export const GET = api((_, actor) => storeView(actor));

/** Settings act at once; the style waits for a release. */
export const PATCH = api(async ({ request }, actor) => patchStore(actor, await readJson(request)));
