import { api } from '$lib/server/api.js';
import { attributesView } from '$lib/server/work/attributes.js';

/** The definitions with how full each is, and codes of the catalogue that are not defined. */
export const GET = api((_, actor) => attributesView(actor));
