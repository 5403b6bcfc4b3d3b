import { createHmac } from 'node:crypto';
import { SignJWT } from 'jose';
import { describe, expect, it } from 'vitest';
import { isOwnerToken, ownerToken, visitorOf } from './visitorToken.js';

const SECRET = 'a secret of thirty-two characters';
const NOW = Date.parse('2026-11-26T09:00:00Z');
const IN_AN_HOUR = NOW / 1000 + 3600;
const base64url = (value: object) => Buffer.from(JSON.stringify(value)).toString('base64url');

/** A token made by hand as RFC 7515, section 3.1, says: header, payload and signature, each base64url, joined by dots. */
function byHand(header: object, payload: object, secret = SECRET): string {
	const signed = `${base64url(header)}.${base64url(payload)}`;
	return `${signed}.${createHmac('sha256', secret).update(signed).digest('base64url')}`;
}

describe('a visitor’s token', () => {
	it('is taken as jose makes it, and as it is made by hand from RFC 7515', async () => {
		const byJose = await new SignJWT({ groups: ['member'] })
			.setProtectedHeader({ alg: 'HS256', typ: 'JWT' })
			.setExpirationTime(IN_AN_HOUR)
			.sign(new TextEncoder().encode(SECRET));
		const own = byHand({ alg: 'HS256', typ: 'JWT' }, { groups: ['member'], exp: IN_AN_HOUR });
		const member = { signedIn: true, groups: ['member'], campaign: null };
		expect(await visitorOf(byJose, SECRET, NOW)).toEqual(member);
		expect(await visitorOf(own, SECRET, NOW)).toEqual(member);
	});

	// RFC 7515, appendix A.1: the JWS with HMAC SHA-256, its key, and the payload of RFC 7519, section 3.1 (exp 1300819380).
	it('reads the example of RFC 7515 A.1 and RFC 7519 3.1 until its time is over', async () => {
		const token =
			'eyJ0eXAiOiJKV1QiLA0KICJhbGciOiJIUzI1NiJ9' +
			'.eyJpc3MiOiJqb2UiLA0KICJleHAiOjEzMDA4MTkzODAsDQogImh0dHA6Ly9leGFtcGxlLmNvbS9pc19yb290Ijp0cnVlfQ' +
			'.dBjftJeZ4CVP-mB92K27uhbUJU1p1r_wW1gFWFOEjXk';
		const key = Buffer.from(
			'AyM1SysPpbyDfgZld3umj1qzKObwVMkoqQ-EstJQLr_T-1qS0gZH75aKtMN3Yj0iPS4hcgUuTwjAzZr1Z9CAow',
			'base64url'
		).toString('latin1');
		// The key of the example is bytes, not text; what is signed with it is checked here by hand.
		const [header = '', payload = '', signature] = token.split('.');
		const made = createHmac('sha256', Buffer.from(key, 'latin1')).update(`${header}.${payload}`).digest('base64url');
		expect(made).toBe(signature);
		const again = byHand({ alg: 'HS256' }, { iss: 'joe', exp: 1300819380, 'http://example.com/is_root': true });
		expect(await visitorOf(again, SECRET, 1300819379_000)).toEqual({ signedIn: true, groups: [], campaign: null });
		expect(await visitorOf(again, SECRET, 1300819381_000)).toBeNull();
	});

	it('is nobody’s when forged, expired, foreign, unsigned, endless or for something else', async () => {
		const good = { groups: ['member'], exp: IN_AN_HOUR };
		const hs256 = { alg: 'HS256' };
		const token = byHand(hs256, good);
		const bad = [
			'',
			'not.a.token',
			`${token}x`,
			token.split('.').slice(0, 2).join('.'),
			token.replace(/\.[^.]+\./, `.${base64url({ ...good, groups: ['trade'] })}.`),
			byHand(hs256, good, 'another secret of thirty-two chars'),
			byHand(hs256, { ...good, exp: NOW / 1000 - 1 }),
			byHand(hs256, { groups: ['member'] }),
			byHand(hs256, { ...good, nbf: IN_AN_HOUR }),
			// RFC 7519, section 6: an unsecured token; it says of itself that nothing vouches for it.
			`${base64url({ alg: 'none' })}.${base64url(good)}.`,
			byHand({ alg: 'HS512' }, good),
			byHand({ ...hs256, crit: ['unheard'], unheard: 1 }, good),
			byHand(hs256, { ...good, aud: 'someone-else' }),
			await ownerToken('store', SECRET, NOW)
		];
		for (const one of bad) expect(await visitorOf(one, SECRET, NOW), one).toBeNull();
		expect(await visitorOf(token, SECRET, NOW)).not.toBeNull();
	});

	it('with groups that are no list of texts is a signed-in visitor of no group', async () => {
		const token = byHand({ alg: 'HS256' }, { groups: 'member', exp: IN_AN_HOUR });
		expect(await visitorOf(token, SECRET, NOW)).toEqual({ signedIn: true, groups: [], campaign: null });
	});
});

describe('the owner’s link', () => {
	it('holds for an hour, for its own store, and for nothing that a visitor’s token is', async () => {
		const token = await ownerToken('store', SECRET, NOW);
		expect(await isOwnerToken(token, 'store', SECRET, NOW + 3_599_000)).toBe(true);
		expect(await isOwnerToken(token, 'store', SECRET, NOW + 3_601_000)).toBe(false);
		expect(await isOwnerToken(token, 'other', SECRET, NOW)).toBe(false);
		expect(await isOwnerToken(token, 'store', 'another secret of thirty-two chars', NOW)).toBe(false);
		expect(await isOwnerToken(byHand({ alg: 'HS256' }, { exp: IN_AN_HOUR }), 'store', SECRET, NOW)).toBe(false);
	});
});
