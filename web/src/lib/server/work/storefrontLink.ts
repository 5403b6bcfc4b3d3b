import type { Actor } from '../db/users.js';
import { Problem } from '../problem.js';
import { storeStates } from '../state/storeStates.js';
import { ownerToken } from '../visitorToken.js';

/** What the storefront's script looks for behind the `#` of an address to draw the hooks in. */
const HASH = '#anbau-hooks=';

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
