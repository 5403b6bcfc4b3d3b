import { lookup } from 'node:dns';
import type { LookupFunction } from 'node:net';
import ipaddr from 'ipaddr.js';
import { Agent, fetch, type Response } from 'undici';

/** Why a foreign address did not give what was asked for, in words that follow its name. */
export class FetchFault extends Error {}

/** What is asked of an address that someone else names. */
export interface PublicRequest {
	/** The most that is read, in bytes. */
	limit: number;
	/** Milliseconds for all of it. */
	timeout: number;
	/** Origins that may lie in a private network, because the owner has named them. */
	trusted: readonly string[];
	/** What is asked for, as media types. */
	accept: string;
}

const MOST_REDIRECTS = 3;

/**
 * Reads a foreign address. An address that leads into a private network, at once or by a redirect, is not
 * asked: the name is looked up once, and the connection goes to the very number that was looked at.
 */
export async function publicBytes(
	address: string,
	{ limit, timeout, trusted, accept }: PublicRequest
): Promise<Answer> {
	const signal = AbortSignal.timeout(timeout);
	try {
		let url = new URL(address);
		for (let turn = 0; turn <= MOST_REDIRECTS; turn++) {
			const response = await ask(url, trusted.includes(url.origin), accept, signal);
			const location = response.headers.get('location');
			if (response.status < 300 || response.status >= 400 || location === null)
				return {
					status: response.status,
					type: response.headers.get('content-type') ?? '',
					bytes: await bytesOf(response, limit)
				};
			await response.body?.cancel();
			url = new URL(location, url);
		}
		throw new FetchFault('sends on again and again');
	} catch (error) {
		throw faultOf(error, timeout);
	}
}

/** An answer as it was read. */
export interface Answer {
	status: number;
	/** Its content type as it stands in the header. */
	type: string;
	bytes: Buffer;
}

function ask(url: URL, isTrusted: boolean, accept: string, signal: AbortSignal): Promise<Response> {
	if (!/^https?:$/.test(url.protocol)) throw new FetchFault(`sends on to a ${url.protocol} address`);
	const bare = url.hostname.replace(/^\[|\]$/g, '');
	if (!isTrusted && ipaddr.isValid(bare) && isPrivate(bare)) throw new FetchFault(PRIVATE);
	return fetch(url, {
		redirect: 'manual',
		signal,
		headers: { accept, 'user-agent': 'Anbau' },
		...(isTrusted ? {} : { dispatcher: guarded })
	});
}

const PRIVATE = 'leads into a private network';

/** Whether an IP address is anything but one of the public network (IANA special-purpose registries, by ipaddr.js). */
function isPrivate(address: string): boolean {
	return ipaddr.process(address).range() !== 'unicast';
}

const guardedLookup: LookupFunction = (hostname, options, done) => {
	lookup(hostname, { ...options, all: true }, (error, found) => {
		if (error) return done(error, []);
		if (found.some(({ address }) => isPrivate(address))) return done(new FetchFault(PRIVATE), []);
		return options.all ? done(null, found) : done(null, found[0]?.address ?? '', found[0]?.family);
	});
};
const guarded = new Agent({ connect: { lookup: guardedLookup } });

async function bytesOf(response: Response, limit: number): Promise<Buffer> {
	const chunks: Uint8Array[] = [];
	let size = 0;
	for await (const chunk of response.body ?? []) {
		const bytes = chunk as Uint8Array;
		size += bytes.byteLength;
		if (size > limit) throw new FetchFault(`answers more than ${Math.round(limit / 1024)} kB`);
		chunks.push(bytes);
	}
	return Buffer.concat(chunks);
}

function faultOf(error: unknown, timeout: number): FetchFault {
	for (let one = error; one instanceof Error; one = one.cause) {
		if (one instanceof FetchFault) return one;
		if (one.name === 'TimeoutError')
			return new FetchFault(`does not answer within ${Math.round(timeout / 1000)} seconds`);
	}
	return new FetchFault('cannot be reached');
}
