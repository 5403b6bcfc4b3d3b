import { redirect } from '@sveltejs/kit';
import { demoEmail } from '$lib/server/auth.js';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
	if (locals.actor) redirect(307, '/library');
	return { hasDemo: demoEmail() !== null };
};
