import { signedIn } from '$lib/server/signedIn.js';
import { listExceptions } from '$lib/server/work/exceptions.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => ({ exceptions: await listExceptions(signedIn(locals), {}) });
