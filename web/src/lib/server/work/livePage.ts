import { createHash } from 'node:crypto';
import { z } from 'zod';
import { factsOfPage, factsOfProduct, PAGE_KINDS, type PageRef } from '@anbau/core/catalog';
import { GUEST, type Visitor } from '@anbau/core/pieces';
import { emptyPage, type PageDocument } from '@anbau/core/placement';
import { liveOn } from '../state/liveOn.js';
import { storeStates, type StoreState } from '../state/storeStates.js';
import { isOwnerToken, visitorOf } from '../visitorToken.js';

const querySchema = z.object({
	kind: z.enum(PAGE_KINDS).catch('plain'),
	id: z.string().max(300).catch(''),
	campaign: z.string().max(100).nullable().catch(null),
	at: z.iso.datetime().nullable().catch(null),
	owner: z.string().nullable().catch(null)
});

/** A page that was resolved for whoever asks, and how its answer may be kept. */
export interface ResolvedPage {
	document: PageDocument;
	cacheControl: string;
}

/**
 * Resolves a page of the storefront. A page that is not known is an empty document. An answer for a visitor with a
 * valid token is private; without one the visitor is a guest. `at` another time it is resolved only for the holder of
 * the owner's link. Null where there is no such store.
 */
export async function resolvedPage(
	storeKey: string,
	parameters: URLSearchParams,
	token: string | null,
	now: number
): Promise<ResolvedPage | null> {
	const state = await storeStates.byKey(storeKey, now);
	if (!state) return null;
	const { kind, id, campaign, at, owner } = querySchema.parse({
		kind: parameters.get('kind'),
		id: parameters.get('id'),
		campaign: parameters.get('campaign') || null,
		at: parameters.get('at'),
		owner: parameters.get('owner')
	});
	const signedIn = token === null ? null : await visitorOf(token, state.store.visitorSecret, now);
	const { key, visitorSecret } = state.store;
	const isAsOf = at !== null && owner !== null && (await isOwnerToken(owner, key, visitorSecret, now));
	const time = isAsOf ? Date.parse(at) : now;
	const document = resolvePage(state, { kind, key: id }, { ...(signedIn ?? GUEST), campaign }, time);
	return { document, cacheControl: signedIn || isAsOf ? 'private, no-store' : sharedCaching(state, document, now) };
}

export interface LiveAnswer {
	body: string;
	etag: string;
	cacheControl: string;
}

/** The live document of a page as JSON; null where there is no such store. */
export async function livePage(
	storeKey: string,
	parameters: URLSearchParams,
	token: string | null,
	now: number
): Promise<LiveAnswer | null> {
	const resolved = await resolvedPage(storeKey, parameters, token, now);
	if (!resolved) return null;
	const body = JSON.stringify(resolved.document);
	const etag = `"${createHash('sha256').update(body).digest('base64url').slice(0, 27)}"`;
	return { body, etag, cacheControl: resolved.cacheControl };
}

function resolvePage(state: StoreState, page: PageRef, visitor: Visitor, now: number): PageDocument {
	const { catalog, release } = state;
	const product = page.kind === 'product' ? catalog.product(page.key) : undefined;
	if (page.kind === 'product' && !product) return emptyPage(release.number, page);
	const facts = product ? factsOfProduct(product) : factsOfPage(page);
	return release.resolve({ facts, live: liveOn(state, page, product ?? null, now), visitor, now });
}

/** Browsers always ask again; shared caches may keep the document, but never past the next change. */
function sharedCaching(state: StoreState, document: PageDocument, now: number): string {
	const untilChange =
		document.validUntil === null ? Infinity : Math.max(0, Math.floor((Date.parse(document.validUntil) - now) / 1000));
	const seconds = Math.min(state.store.cacheSeconds, untilChange);
	return `public, max-age=0, s-maxage=${seconds}, must-revalidate`;
}
