import { signedIn } from '$lib/server/signedIn.js';
import { listMedia } from '$lib/server/work/media.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({ media: await listMedia(signedIn(locals)) });
