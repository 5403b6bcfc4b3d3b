import { api } from '$lib/server/api.js';
import { pullNow } from '$lib/server/work/feed.js';

export const POST = api((_, actor) => pullNow(actor, Date.now()));
