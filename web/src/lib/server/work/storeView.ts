import type { Store } from '../db/stores.js';
import { storeStates } from '../state/storeStates.js';
import type { Actor } from '../db/users.js';

/** A store as its owner's screens see it; without its secret. */
export type StoreView = Pick<Store, 'key' | 'name' | 'url' | 'currency' | 'locale' | 'zone'>;

export async function storeView(actor: Actor): Promise<StoreView> {
	const { store } = await storeStates.byId(actor.storeId, Date.now());
	const { key, name, url, currency, locale, zone } = store;
	return { key, name, url, currency, locale, zone };
}
