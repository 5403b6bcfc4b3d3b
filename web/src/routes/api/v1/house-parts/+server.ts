import { api } from '$lib/server/api.js';
import { listHouseParts } from '$lib/server/work/houseParts.js';

export const GET = api((_, actor) => listHouseParts(actor));
