import { api } from '$lib/server/api.js';
import { catalogFilters } from '$lib/server/work/products.js';

export const GET = api((_, actor) => catalogFilters(actor));
