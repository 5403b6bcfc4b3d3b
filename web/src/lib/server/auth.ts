import { createHash, randomBytes } from 'node:crypto';
import { verify } from '@node-rs/argon2';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { database } from './db/pool.js';
import { actorByKey, deleteSession, insertSession, userByEmail, userBySession, type Actor } from './db/users.js';
import { bearerOf } from './bearer.js';
import { Problem } from './problem.js';

export const SESSION_COOKIE = 'anbau_session';
const SESSION_DAYS = 30;

const tries = new RateLimiterMemory({ points: 10, duration: 60 });

/** A password hash that no password meets, so that an unknown address takes as long as a wrong password. */
const NOBODY = '$argon2id$v=19$m=19456,t=2,p=1$CJ1ISckpek3+o4fCyMRx7A$x3qHBA48lxAww7Ep/ESN4joKV9es0hp1MZWmwV2Zz1o';

/** Signs a person in with address and password; answers the session's token. At most ten tries a minute and address. */
export async function signIn(email: string, password: string): Promise<{ token: string; expires: Date }> {
	await countTry(email.toLowerCase());
	const user = await userByEmail(database(), email);
	const right = await verify(user?.passwordHash ?? NOBODY, password);
	if (!user || !right) throw new Problem('unauthorized', 401, 'The address or the password is wrong.');
	return openSession(user.id);
}

/** Signs in as the demo store's owner; only where Anbau was started with its demo. */
export async function signInToDemo(): Promise<{ token: string; expires: Date }> {
	const email = demoEmail();
	const user = email === null ? undefined : await userByEmail(database(), email);
	if (!user) throw new Problem('unauthorized', 401, 'There is no demo store here.');
	return openSession(user.id);
}

/** The demo owner's address where the demo is open to everyone on this machine; null elsewhere. */
export function demoEmail(): string | null {
	return process.env.ANBAU_DEMO_EMAIL || null;
}

async function countTry(email: string): Promise<void> {
	try {
		await tries.consume(email);
	} catch (error) {
		if (!(error instanceof RateLimiterRes)) throw error;
		throw new Problem('too-many-tries', 429, `Too many tries; wait ${Math.ceil(error.msBeforeNext / 1000)} seconds.`);
	}
}

async function openSession(userId: number): Promise<{ token: string; expires: Date }> {
	const token = randomBytes(32).toString('base64url');
	const expires = new Date(Date.now() + SESSION_DAYS * 86_400_000);
	await insertSession(database(), hashSecret(token), userId, expires);
	return { token, expires };
}

export async function signOut(token: string): Promise<void> {
	await deleteSession(database(), hashSecret(token));
}

/** Who makes a request: by its bearer key, else by its session; null for nobody. A wrong key is not forgiven. */
export async function actorOf(request: Request, sessionToken: string | undefined): Promise<Actor | null> {
	if (request.headers.has('authorization')) {
		const key = bearerOf(request);
		const actor = key === null ? undefined : await actorByKey(database(), hashSecret(key));
		if (!actor) throw new Problem('unauthorized', 401, 'The API key is not known.');
		return actor;
	}
	if (sessionToken === undefined) return null;
	const user = await userBySession(database(), hashSecret(sessionToken));
	return user ? { storeId: user.storeId, name: user.name } : null;
}

/** Random tokens are stored as SHA-256 only; they have too many bits to be guessed from it. */
export function hashSecret(secret: string): Buffer {
	return createHash('sha256').update(secret).digest();
}
