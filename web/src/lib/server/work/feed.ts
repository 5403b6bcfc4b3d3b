import { z } from 'zod';
import { writeAudit } from '../db/audit.js';
import { confirmAllProducts, deleteFeed, feedOf, noteFeed, saveFeed, takeDueFeeds, type Feed } from '../db/feeds.js';
import { database, transaction } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { storeStates } from '../state/storeStates.js';
import { importCatalog, type ImportResult } from './importCatalog.js';
import { Job } from './jobs.js';

/** A feed as its owner sees it. */
export type FeedView = Omit<Feed, 'storeId' | 'etag'>;

export const feedSchema = z.strictObject({
	url: z.url({ protocol: /^https?$/, error: 'must be an address that begins with http:// or https://' }).max(2000),
	minutes: z
		.number()
		.int('must be a whole number')
		.min(5, 'must be 5 minutes at least')
		.max(10_080, 'must be a week at most')
});

export async function feedView(actor: Actor): Promise<FeedView | null> {
	const feed = await feedOf(database(), actor.storeId);
	return feed ? viewOf(feed) : null;
}

function viewOf({ storeId: _store, etag: _etag, ...view }: Feed): FeedView {
	return view;
}

/** Sets where the catalogue is pulled from; null for nowhere. It is first pulled after its pause, or on demand. */
export async function putFeed(actor: Actor, input: unknown, now: number): Promise<FeedView | null> {
	const feed = readBy(feedSchema.nullable(), input, 'The feed');
	await transaction(async (client) => {
		if (feed) await saveFeed(client, actor.storeId, feed.url, feed.minutes, after(now, feed.minutes));
		else await deleteFeed(client, actor.storeId);
		await writeAudit(client, actor, 'save', 'feed', null, feed);
	});
	return feedView(actor);
}

/** Pulls a store's catalogue now. */
export async function pullNow(actor: Actor, now: number): Promise<{ feed: FeedView; imported: ImportResult | null }> {
	const feed = await feedOf(database(), actor.storeId);
	if (!feed) throw new Problem('not-found', 404, 'No feed address is set.');
	const imported = await pull(feed, actor, now);
	return { feed: viewOf((await feedOf(database(), actor.storeId)) ?? feed), imported };
}

/** Pulls every catalogue that is due; a failure is noted with its feed and tried again later. */
export async function pullDue(now: number): Promise<void> {
	for (const feed of await takeDueFeeds(database(), new Date(now))) {
		try {
			await pull(feed, { storeId: feed.storeId, name: 'the catalogue’s feed' }, now);
		} catch (error) {
			if (!(error instanceof Problem)) console.error('A feed could not be pulled.', error);
		}
	}
}

/** Pulls a feed: null where it has not changed since the last pull, which confirms every price and stock. */
async function pull(feed: Feed, actor: Actor, now: number): Promise<ImportResult | null> {
	try {
		const response = await ask(feed);
		const etag = response.headers.get('etag');
		let imported: ImportResult | null = null;
		if (response.status === 304) await confirm(feed.storeId);
		else imported = await take(feed, actor, response);
		const message = imported && imported.rejectedTotal > 0 ? `${imported.rejectedTotal} cells could not be read` : '';
		await note(feed, {
			etag: response.status === 304 ? feed.etag : etag,
			success: new Date(now),
			failures: 0,
			nextTry: after(now, feed.minutes),
			message
		});
		return imported;
	} catch (error) {
		const message = error instanceof Problem ? error.message : 'The feed could not be taken; the server log says why.';
		const failures = feed.failures + 1;
		await note(feed, {
			etag: feed.etag,
			success: null,
			failures,
			nextTry: after(now, pauseAfter(failures, feed.minutes)),
			message
		});
		throw error;
	}
}

function note(feed: Feed, outcome: Parameters<typeof noteFeed>[2]): Promise<void> {
	return noteFeed(database(), feed.storeId, outcome);
}

const TIMEOUT = 60_000;
const DAY = 24 * 60;

/** How many minutes to wait after so many failures in a row: twice as long each time, from a minute up to a day. */
export function pauseAfter(failures: number, minutes: number): number {
	return Math.min(2 ** (failures - 1), Math.max(minutes, DAY));
}

function after(now: number, minutes: number): Date {
	return new Date(now + minutes * 60_000);
}

async function ask({ url, etag }: Feed): Promise<Response> {
	const headers: Record<string, string> = { accept: 'text/csv, application/x-ndjson' };
	if (etag !== null) headers['if-none-match'] = etag;
	let response: Response;
	try {
		response = await fetch(url, { headers, signal: AbortSignal.timeout(TIMEOUT) });
	} catch {
		throw away(`The feed’s server does not answer at ${url}.`);
	}
	if (response.status !== 304 && !response.ok) throw away(`The feed’s server answered ${response.status}.`);
	return response;
}

function away(message: string): Problem {
	return new Problem('feed-away', 502, message);
}

async function confirm(storeId: number): Promise<void> {
	await confirmAllProducts(database(), storeId);
	await storeStates.reloadCatalog(storeId);
}

async function take(feed: Feed, actor: Actor, response: Response): Promise<ImportResult> {
	const type = response.headers.get('content-type')?.split(';')[0]?.trim().toLowerCase() ?? '';
	const format = type === 'text/csv' ? 'csv' : type === 'application/x-ndjson' ? 'ndjson' : null;
	if (!format || !response.body) {
		throw new Problem(
			'unsupported',
			502,
			`The feed is ${type || 'of no type'}; a catalogue is text/csv or application/x-ndjson.`
		);
	}
	const { store } = await storeStates.byId(feed.storeId, Date.now());
	const body = response.body as unknown as AsyncIterable<Uint8Array>;
	return importCatalog(store, actor, body, format, 'upsert', new Job(null));
}
