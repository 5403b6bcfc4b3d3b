import { PAGE_KINDS } from '@anbau/core/catalog';
import { formOf } from '@anbau/core/pieces';
import type { Binding } from '@anbau/core/placement';
import { allPieces } from '../db/pieces.js';
import { database } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { Problem } from '../problem.js';
import { storeStates } from '../state/storeStates.js';
import { isOwnerToken, ownerToken } from '../visitorToken.js';
import { hooksOfStore } from './hooks.js';

/** What the storefront's script looks for behind the `#` of an address to draw the hooks in. */
const HASH = '#anbau-hooks=';
/** On how many other pages a picked selector is tried. */
const SAMPLES = 6;

/** A link to a product's page in the shop, or to the shop itself, that shows the hooks there for an hour. */
export async function storefrontLink(actor: Actor, product: string | null): Promise<{ url: string }> {
	const now = Date.now();
	const { store, catalog } = await storeStates.byId(actor.storeId, now);
	const found = product === null ? null : catalog.product(product);
	if (product !== null && !found?.url)
		throw new Problem('not-found', 404, 'This product has no address in the shop, so there is no page to open.');
	const token = await ownerToken(store.key, store.visitorSecret, now);
	return { url: `${found?.url ?? store.url}${HASH}${token}` };
}

/** Whether a token came with the owner's link to a store and is still good. */
export async function isOwnersLink(storeKey: string, token: string | null, now: number): Promise<boolean> {
	const state = await storeStates.byKey(storeKey, now);
	return state !== undefined && token !== null && isOwnerToken(token, storeKey, state.store.visitorSecret, now);
}

/** What the owner's mode draws: the hooks of a kind of page as they are drafted, and pages to try selectors on. */
export interface OwnersHooks {
	desk: string;
	hooks: { id: string; title: string; pieces: number; binding: Binding | null; fallback: string | null }[];
	samples: string[];
}

export async function hooksForOwner(
	storeKey: string,
	token: string | null,
	kind: string | null,
	now: number
): Promise<OwnersHooks | null> {
	if (!(await isOwnersLink(storeKey, token, now))) return null;
	const state = await storeStates.byKey(storeKey, now);
	const page = PAGE_KINDS.find((one) => one === kind) ?? 'plain';
	if (!state) return null;
	const { id } = state.store;
	const placements = (await allPieces(database(), id))
		.filter(({ removed }) => !removed)
		.flatMap(({ doc }) => doc.placements.filter((placement) => placement.page === page));
	const hooks = (await hooksOfStore(id)).filter((hook) => hook.pages.includes(page) && formOf(hook.id) !== 'edge');
	const seen = hooks.flatMap(({ sightings }) => sightings.filter((one) => one.kind === page).map(({ url }) => url));
	return {
		desk: process.env.ORIGIN ?? '',
		hooks: hooks.map(({ id: hook, title, binding, fallback }) => ({
			id: hook,
			title,
			pieces: placements.filter((placement) => placement.hook === hook).length,
			binding,
			fallback
		})),
		samples: [...new Set(seen)].slice(0, SAMPLES)
	};
}
