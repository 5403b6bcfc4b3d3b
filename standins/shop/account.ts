import { SignJWT } from 'jose';
import { html, type Html } from './html.js';
import type { Shop } from './shop.js';
import type { Visit } from './theme.js';

/** The groups of customers that one can sign in as; the shop asks for no password, for nobody is real here. */
export const GROUPS = ['member', 'trade'] as const;
const COOKIE = 'hollowmere_group';

/** Who sends a request, by the shop's cookie. The token for Anbau is good for ten minutes. */
export async function visitOf(shop: Shop, cookies: string | undefined): Promise<Visit> {
	const group = GROUPS.find((one) => cookies?.split(/;\s*/).includes(`${COOKIE}=${one}`));
	if (!group || shop.visitorSecret === '') return { group: null, token: '' };
	const token = await new SignJWT({ groups: [group] })
		.setProtectedHeader({ alg: 'HS256' })
		.setExpirationTime('10 min')
		.sign(new TextEncoder().encode(shop.visitorSecret));
	return { group, token };
}

/** The cookie that signs in, or out. */
export function cookieFor(group: string | null): string {
	const known = GROUPS.find((one) => one === group);
	return `${COOKIE}=${known ?? ''}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${known ? 86_400 : 0}`;
}

/** What the account page shows. */
export function accountForm({ group }: Visit): Html {
	return html`<h1>Your account</h1>
		<p>${group ? `You are signed in as a ${group}.` : 'You are a guest.'}</p>
		<form class="account" method="post" action="/account">
			${GROUPS.filter((one) => one !== group).map(
				(one) => html`<button type="submit" name="group" value="${one}">Sign in as a ${one}</button>`
			)}
			${group ? html`<button type="submit" name="group" value="">Sign out</button>` : null}
		</form>`;
}
