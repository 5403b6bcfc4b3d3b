import { api } from '$lib/server/api.js';
import { listStarters } from '$lib/server/work/starters.js';

export const GET = api((_, actor) => listStarters(actor));
