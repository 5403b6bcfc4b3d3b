import { api } from '$lib/server/api.js';
import { searchProducts } from '$lib/server/work/products.js';

export const GET = api(({ url }, actor) => searchProducts(actor, url.searchParams, Date.now()));
