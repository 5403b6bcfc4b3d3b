import type { Handle, HandleServerError } from '@sveltejs/kit';
import { actorOf, SESSION_COOKIE } from '$lib/server/auth.js';
import { startFeedSchedule } from '$lib/server/feedSchedule.js';
import { isUnreachable } from '$lib/server/unreachable.js';
import { Problem } from '$lib/server/problem.js';

const AWAY = new Problem(
	'database-away',
	503,
	'Anbau cannot reach its database, so nothing can be read or saved here. The shop goes on from memory.'
);

startFeedSchedule();

const FOREIGN = new Problem('unauthorized', 403, 'A page of another site cannot change anything here.');

/** Who asks is settled before any route of the owner's side runs; failures become problem documents. */
export const handle: Handle = async ({ event, resolve }) => {
	event.locals.actor = null;
	const { pathname } = event.url;
	if (pathname.startsWith('/live/')) return resolve(event);
	const isApi = pathname.startsWith('/api/');
	if (isForeign(event.request)) return FOREIGN.toResponse();
	try {
		event.locals.actor = await actorOf(event.request, event.cookies.get(SESSION_COOKIE));
	} catch (error) {
		const problem = problemOf(error);
		if (isApi) return problem.toResponse();
		return new Response(problem.message, {
			status: problem.status,
			headers: { 'content-type': 'text/plain; charset=utf-8' }
		});
	}
	const response = await resolve(event);
	if (!isApi && !response.headers.has('content-security-policy')) response.headers.set('x-frame-options', 'DENY');
	response.headers.set('x-content-type-options', 'nosniff');
	return response;
};

/**
 * Whether a request that may change something comes from another origin's page with this browser's cookies. A caller
 * with a key has no use for cookies, and a page cannot send one without being allowed to.
 */
function isForeign({ method, headers }: Request): boolean {
	if (method === 'GET' || method === 'HEAD' || headers.has('authorization')) return false;
	const origin = headers.get('origin');
	return origin !== null && (!URL.canParse(origin) || new URL(origin).host !== headers.get('host'));
}

/** A failure as the problem it is; what nobody foresaw is thrown on. */
function problemOf(error: unknown): Problem {
	if (error instanceof Problem) return error;
	if (isUnreachable(error)) return AWAY;
	throw error;
}

export const handleError: HandleServerError = ({ error, status, message, event }) => {
	if (status === 404) return { message: 'There is nothing at this address.' };
	if (error instanceof Problem) return { message: error.message };
	if (isUnreachable(error)) return { message: AWAY.message };
	console.error(`${event.request.method} ${event.url.pathname}`, error);
	return {
		message:
			status === 500 ? 'Something went wrong inside Anbau; nothing was changed. The server log says what.' : message
	};
};
