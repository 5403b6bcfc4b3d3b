import type { RequestHandler } from './$types';
import { Problem } from '$lib/server/problem.js';
import { readTextBody } from '$lib/server/requestBody.js';
import { isUnreachable } from '$lib/server/unreachable.js';
import { reviewPage } from '$lib/server/work/reviewPage.js';
import { submitReview } from '$lib/server/work/submitReview.js';

const CORS = { 'access-control-allow-origin': '*' };
const notFound = () => withCors(new Problem('not-found', 404, 'There is no such section of reviews.').toResponse());

/** A page of a section's reviews, public and without cookies. */
export const GET: RequestHandler = async ({ params, url }) => {
	const html = await reviewPage(params.storeKey, url.searchParams, Date.now());
	if (html === null) return notFound();
	return new Response(html, {
		headers: { ...CORS, 'content-type': 'text/html; charset=utf-8', 'cache-control': 'public, max-age=0, s-maxage=60' }
	});
};

/** Takes a review that was written in the shop. The most that a form holds is far below this. */
const MOST_BYTES = 64 * 1024;

export const POST: RequestHandler = async ({ params, request, getClientAddress }) => {
	try {
		const input: unknown = JSON.parse(await readTextBody(request, MOST_BYTES));
		const taken = await submitReview(params.storeKey, input, getClientAddress(), Date.now());
		return taken ? Response.json({ state: 'waiting' }, { status: 202, headers: CORS }) : notFound();
	} catch (error) {
		return withCors(problemOf(error).toResponse());
	}
};

function problemOf(error: unknown): Problem {
	if (error instanceof Problem) return error;
	if (error instanceof SyntaxError) return new Problem('invalid', 400, 'The body is not JSON.');
	if (isUnreachable(error)) return new Problem('database-away', 503, 'The shop cannot take reviews right now.');
	throw error;
}

function withCors(response: Response): Response {
	response.headers.set('access-control-allow-origin', '*');
	return response;
}

export const OPTIONS: RequestHandler = () =>
	new Response(null, {
		status: 204,
		headers: {
			...CORS,
			'access-control-allow-methods': 'GET, POST',
			'access-control-allow-headers': 'content-type',
			'access-control-max-age': '86400'
		}
	});
