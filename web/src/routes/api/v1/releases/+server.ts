import { api } from '$lib/server/api.js';
import { pastReleases } from '$lib/server/work/releases.js';

export const GET = api((_, actor) => pastReleases(actor));
