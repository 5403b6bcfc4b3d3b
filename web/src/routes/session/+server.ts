import type { RequestHandler } from './$types';
import { z } from 'zod';
import { SESSION_COOKIE, signIn, signInToDemo, signOut } from '$lib/server/auth.js';
import { Problem, readBy } from '$lib/server/problem.js';
import { readJson } from '$lib/server/requestBody.js';

const credentials = z.union([
	z.strictObject({ demo: z.literal(true) }),
	z.strictObject({
		email: z.string().trim().min(1, 'must not be empty').max(300),
		password: z.string().min(1, 'must not be empty').max(1000)
	})
]);

/** Signs in with address and password, or as the demo's owner. */
export const POST: RequestHandler = async ({ request, cookies, url }) => {
	try {
		const input = readBy(credentials, await readJson(request), 'The sign-in');
		const session = 'demo' in input ? await signInToDemo() : await signIn(input.email, input.password);
		cookies.set(SESSION_COOKIE, session.token, {
			path: '/',
			httpOnly: true,
			sameSite: 'lax',
			secure: url.protocol === 'https:',
			expires: session.expires
		});
		return new Response(null, { status: 204 });
	} catch (error) {
		if (error instanceof Problem) return error.toResponse();
		throw error;
	}
};

export const DELETE: RequestHandler = async ({ cookies }) => {
	const token = cookies.get(SESSION_COOKIE);
	if (token !== undefined) await signOut(token);
	cookies.delete(SESSION_COOKIE, { path: '/' });
	return new Response(null, { status: 204 });
};
