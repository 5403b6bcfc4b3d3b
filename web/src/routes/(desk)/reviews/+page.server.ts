import { signedIn } from '$lib/server/signedIn.js';
import { reviewsView } from '$lib/server/work/reviews.js';
import type { PageServerLoad } from './$types';

/** What waits to be looked at comes first. */
const FIRST = new URLSearchParams({ state: 'waiting' });

export const load: PageServerLoad = async ({ locals }) => ({ reviews: await reviewsView(signedIn(locals), FIRST) });
