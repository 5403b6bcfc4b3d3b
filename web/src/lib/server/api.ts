import { json, type RequestEvent } from '@sveltejs/kit';
import { isUnreachable } from './unreachable.js';
import type { Actor } from './db/users.js';
import { Problem } from './problem.js';

/** What an API route does: it gets the request and who makes it, and answers a document or a whole response. */
type Work = (event: RequestEvent, actor: Actor) => Promise<unknown>;

/**
 * Wraps the work of an owner's API route: asks who it is, answers what the work returns as JSON, and turns problems
 * into problem documents.
 */
export function api(work: Work): (event: RequestEvent) => Promise<Response> {
	return async (event) => {
		try {
			const { actor } = event.locals;
			if (!actor) throw new Problem('unauthorized', 401, 'Sign in, or send an API key as “Authorization: Bearer …”.');
			const answer = await work(event, actor);
			if (answer instanceof Response) return answer;
			return json(answer ?? null, { headers: { 'cache-control': 'no-store' } });
		} catch (error) {
			return failure(event, error);
		}
	};
}

function failure(event: RequestEvent, error: unknown): Response {
	if (error instanceof Problem) return error.toResponse();
	if (isUnreachable(error)) {
		return new Problem(
			'database-away',
			503,
			'Anbau cannot reach its database, so nothing was saved. Try again in a moment.'
		).toResponse();
	}
	console.error(`${event.request.method} ${event.url.pathname}`, error);
	return Response.json(
		{
			type: 'urn:anbau:problem:internal',
			title: 'Something went wrong inside Anbau; nothing was changed.',
			status: 500
		},
		{ status: 500, headers: { 'content-type': 'application/problem+json' } }
	);
}

/** A path parameter, decoded by the router. */
export function parameter(event: RequestEvent, name: string): string {
	const parameters: Partial<Record<string, string>> = event.params;
	return parameters[name] ?? '';
}
