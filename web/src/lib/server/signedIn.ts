import { redirect } from '@sveltejs/kit';
import type { Actor } from './db/users.js';

/** Who is signed in; anyone else is sent to sign in. */
export function signedIn({ actor }: App.Locals): Actor {
	if (!actor) redirect(307, '/sign-in');
	return actor;
}
