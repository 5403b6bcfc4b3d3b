import { Problem } from './problem.js';
import { isUnreachable } from './unreachable.js';

/** What any page may ask of the live API, without cookies. */
export const CORS = { 'access-control-allow-origin': '*' };

/** The answer to a request that a shop's page makes with something to keep; a failure is a problem that pages can read. */
export async function liveAnswer(work: () => Promise<object | null>, status: number): Promise<Response> {
	try {
		const answer = await work();
		if (answer) return Response.json(answer, { status, headers: CORS });
		return withCors(new Problem('not-found', 404, 'There is no such store.').toResponse());
	} catch (error) {
		return withCors(problemOf(error).toResponse());
	}
}

function problemOf(error: unknown): Problem {
	if (error instanceof Problem) return inPlainWords(error);
	if (error instanceof SyntaxError) return new Problem('invalid', 400, 'The body is not JSON.');
	if (isUnreachable(error)) return new Problem('database-away', 503, 'The shop cannot take reviews right now.');
	throw error;
}

/** A problem whose sentence says what is wrong where, because shoppers see that sentence alone. */
function inPlainWords(problem: Problem): Problem {
	const [first] = problem.faults;
	const field = first && /^\/(\w)(\w*)/.exec(first.at);
	if (!first || !field) return problem;
	const sentence = `${field[1]?.toUpperCase() ?? ''}${field[2] ?? ''} ${first.message}.`;
	return new Problem(problem.type, problem.status, sentence, problem.faults);
}

function withCors(response: Response): Response {
	response.headers.set('access-control-allow-origin', '*');
	return response;
}

/** What a browser asks before a page of another origin sends JSON. */
export const preflight = (): Response =>
	new Response(null, {
		status: 204,
		headers: {
			...CORS,
			'access-control-allow-methods': 'GET, POST',
			'access-control-allow-headers': 'content-type',
			'access-control-max-age': '86400'
		}
	});
