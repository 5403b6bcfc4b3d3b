import { api } from '$lib/server/api.js';
import { readJson } from '$lib/server/requestBody.js';
import { changeSheet, sheetRows } from '$lib/server/work/sheet.js';

export const GET = api(({ url }, actor) => sheetRows(actor, url.searchParams));

/** Writes cells; those that cannot be taken are answered, the others are saved. */
export const PATCH = api(async ({ request }, actor) => changeSheet(actor, await readJson(request)));
