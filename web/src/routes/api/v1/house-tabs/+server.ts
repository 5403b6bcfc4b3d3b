import { api } from '$lib/server/api.js';
import { listHouseTabs } from '$lib/server/work/houseTabs.js';

export const GET = api((_, actor) => listHouseTabs(actor));
