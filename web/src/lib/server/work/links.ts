import { Readable } from 'node:stream';
import { z } from 'zod';
import { providerOf, readOembed, requestFor, type Described, type OembedProvider } from '@anbau/core/media';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { FetchFault, publicBytes, type Answer } from '../publicFetch.js';
import { storeStates } from '../state/storeStates.js';
import { uploadMedia } from './media.js';

export const linkSchema = z.strictObject({
	url: z
		.string()
		.trim()
		.max(2000)
		.regex(/^https?:\/\/[^\s/?#]+/i, 'must be an address that begins with https://')
});

/** The most that a description may have, and how long it may take. */
const LIMIT = 256 * 1024;
const TIMEOUT = 5000;
const WIDTH = 1200;

/** What a link shows, as the provider that it belongs to says by oEmbed (oembed.com 1.0). */
export async function describeLink(actor: Actor, input: unknown): Promise<Described> {
	const { url } = readBy(linkSchema, input, 'The link');
	const { store } = await storeStates.byId(actor.storeId, Date.now());
	const { providers } = store.settings;
	const provider = providerOf(url, providers);
	if (!provider)
		throw refused('no provider in the store’s settings describes this address; add one, or paste its embed code');
	if (provider.keyName !== '' && provider.key === '')
		throw refused(`${provider.name} wants a key; put it under Store, Links and frames, as “${provider.keyName}”`);
	const answer = await asked(url, provider);
	const reading = readOembed(jsonOf(answer, provider));
	if (!reading.ok) throw refused(`${provider.name}: ${reading.reason}`);
	return { ...reading.described, still: await stillOf(actor, reading.described, provider) };
}

/** The most that a still picture may have. */
const MOST_STILL = 5 * 1024 * 1024;

/**
 * A copy of the still picture on the store's own shelf, so that nothing is asked of the host before a visitor clicks;
 * none where it cannot be had, which is no reason to refuse the rest.
 */
async function stillOf(actor: Actor, { still, title }: Described, provider: OembedProvider): Promise<string> {
	if (still === '') return '';
	const trusted = [new URL(provider.endpoint).origin];
	try {
		const { status, bytes } = await publicBytes(still, {
			limit: MOST_STILL,
			timeout: TIMEOUT,
			trusted,
			accept: 'image/*'
		});
		if (status !== 200) return '';
		return (await uploadMedia(actor, `Still of ${title || provider.name}`, Readable.from([bytes]))).address;
	} catch (error) {
		if (error instanceof FetchFault || error instanceof Problem) return '';
		throw error;
	}
}

async function asked(url: string, provider: OembedProvider): Promise<Answer> {
	const trusted = [new URL(provider.endpoint).origin];
	try {
		return await publicBytes(requestFor(url, provider, WIDTH), {
			limit: LIMIT,
			timeout: TIMEOUT,
			trusted,
			accept: 'application/json'
		});
	} catch (error) {
		if (error instanceof FetchFault) throw refused(`${provider.name} ${error.message}`);
		throw error;
	}
}

/** What an answer's status means (oembed.com, section 2.3.6). */
const STATUS: Record<number, string> = {
	401: 'keeps this one private, or does not know the key',
	403: 'does not know the key, or keeps this one private',
	404: 'has nothing at this address',
	501: 'cannot answer as JSON'
};

function jsonOf({ status, type, bytes }: Answer, { name }: OembedProvider): unknown {
	if (status !== 200) throw refused(`${name} ${STATUS[status] ?? `answers ${status}`}`);
	if (!/json/i.test(type)) throw refused(`${name} answers ${type.split(';')[0] || 'something'}, not JSON`);
	try {
		return JSON.parse(bytes.toString('utf8'));
	} catch {
		throw refused(`${name} answers something that is not JSON`);
	}
}

function refused(message: string): Problem {
	return new Problem('unsupported', 422, 'The link cannot be shown.', [{ at: '/url', message }]);
}
