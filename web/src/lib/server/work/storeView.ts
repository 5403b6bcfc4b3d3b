import type { Store } from '../db/stores.js';
import { liveBase } from '../state/liveOn.js';
import { storeStates } from '../state/storeStates.js';
import type { Actor } from '../db/users.js';

/** A store as its owner's screens see it; without its secret, with where its live API is. */
export type StoreView = Pick<
	Store,
	'key' | 'name' | 'url' | 'currency' | 'locale' | 'zone' | 'settings' | 'style' | 'strip'
> & {
	base: string;
};

export async function storeView(actor: Actor): Promise<StoreView> {
	const { store } = await storeStates.byId(actor.storeId, Date.now());
	const { key, name, url, currency, locale, zone, settings, style, strip } = store;
	return { key, name, url, currency, locale, zone, settings, style, strip, base: liveBase(key) };
}
