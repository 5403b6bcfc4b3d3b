import { api } from '$lib/server/api.js';
import { listHooks } from '$lib/server/work/hooks.js';

export const GET = api((_, actor) => listHooks(actor));
