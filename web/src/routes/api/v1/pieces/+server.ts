import { api } from '$lib/server/api.js';
import { listPieces } from '$lib/server/work/pieces.js';

export const GET = api((_, actor) => listPieces(actor, Date.now()));
