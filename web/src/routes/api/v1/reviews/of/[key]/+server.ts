import { api, parameter } from '$lib/server/api.js';
import { reviewsOfProduct } from '$lib/server/work/reviews.js';

/** What a product's widgets show: its counts and the first reviews to read. */
export const GET = api((event, actor) => reviewsOfProduct(actor, parameter(event, 'key')));
