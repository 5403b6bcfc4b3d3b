import { api } from '$lib/server/api.js';
import { reviewStatistics } from '$lib/server/work/reviews.js';

/** Counts, the course over the months, and the products by their score. */
export const GET = api(({ url }, actor) => reviewStatistics(actor, url.searchParams.get('product') || null));
