import { jwtVerify, SignJWT, type JWTPayload } from 'jose';
import { z } from 'zod';
import type { Visitor } from '@anbau/core/pieces';

const ALGORITHM = 'HS256';
const claimsSchema = z.object({ groups: z.array(z.string()).catch([]) });
/** Whom the links are for with which an owner sees the hooks on the storefront. */
const OWNER = 'anbau-owner';

/**
 * A signed-in visitor by the shop's token (JWT, RFC 7519, signed by HS256, RFC 7515), which must say when it ends;
 * null if it is not valid. A token that is for something else makes nobody a signed-in visitor.
 */
export async function visitorOf(token: string, secret: string, now: number): Promise<Visitor | null> {
	const payload = await payloadOf(token, secret, now);
	if (!payload || payload.aud !== undefined) return null;
	return { signedIn: true, groups: claimsSchema.parse(payload).groups, campaign: null };
}

/** A token for a link that shows the hooks of a store on its storefront, for an hour. */
export function ownerToken(storeKey: string, secret: string, now: number): Promise<string> {
	return new SignJWT()
		.setProtectedHeader({ alg: ALGORITHM })
		.setAudience(OWNER)
		.setSubject(storeKey)
		.setExpirationTime(Math.floor(now / 1000) + 3600)
		.sign(new TextEncoder().encode(secret));
}

/** Whether a token is one of those links, still good and of this store. */
export async function isOwnerToken(token: string, storeKey: string, secret: string, now: number): Promise<boolean> {
	const payload = await payloadOf(token, secret, now);
	return payload?.aud === OWNER && payload.sub === storeKey;
}

/** Whom an invitation to review what was ordered is for. */
const REVIEWER = 'anbau-review';
const INVITATION_DAYS = 90;

/** An order that somebody is asked to review, and its products by key. */
export interface InvitedOrder {
	order: string;
	products: string[];
}

/** A token for a link by which the reviews of an order's products count as verified. */
export function invitationToken({ order, products }: InvitedOrder, secret: string, now: number): Promise<string> {
	return new SignJWT({ products })
		.setProtectedHeader({ alg: ALGORITHM })
		.setAudience(REVIEWER)
		.setSubject(order)
		.setExpirationTime(Math.floor(now / 1000) + INVITATION_DAYS * 86_400)
		.sign(new TextEncoder().encode(secret));
}

const invitedSchema = z.object({ sub: z.string(), products: z.array(z.string()) });

/** What an invitation is for; null when it is none of this store's, or no longer good. */
export async function invitedOrder(token: string, secret: string, now: number): Promise<InvitedOrder | null> {
	const payload = await payloadOf(token, secret, now);
	if (payload?.aud !== REVIEWER) return null;
	const { success, data } = invitedSchema.safeParse(payload);
	return success ? { order: data.sub, products: data.products } : null;
}

async function payloadOf(token: string, secret: string, now: number): Promise<JWTPayload | null> {
	try {
		const { payload } = await jwtVerify(token, new TextEncoder().encode(secret), {
			algorithms: [ALGORITHM],
			requiredClaims: ['exp'],
			currentDate: new Date(now)
		});
		return payload;
	} catch {
		return null;
	}
}
