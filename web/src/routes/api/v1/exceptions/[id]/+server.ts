import { api, parameter } from '$lib/server/api.js';
import { dropException } from '$lib/server/work/exceptions.js';

export const DELETE = api(async (event, actor) => {
	await dropException(actor, Number(parameter(event, 'id')) || 0);
	return new Response(null, { status: 204 });
});
