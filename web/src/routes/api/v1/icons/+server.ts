import { api } from '$lib/server/api.js';
import { listIcons } from '$lib/server/work/icons.js';

export const GET = api((_, actor) => listIcons(actor));
