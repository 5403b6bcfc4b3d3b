import { z } from 'zod';
import { LIST_SOURCES, type Product } from '@anbau/core/catalog';
import type { Actor } from '../db/users.js';
import { readBy } from '../problem.js';
import { storeStates } from '../state/storeStates.js';

export const listsSchema = z.strictObject({
	product: z.string().max(200),
	lists: z
		.array(
			z.strictObject({
				source: z.enum(LIST_SOURCES),
				keys: z.array(z.string().max(200)).max(200),
				count: z.number().int().min(1).max(24)
			})
		)
		.max(200)
});

/** What some product lists show on the page of a product. */
export async function productLists(actor: Actor, input: unknown): Promise<Product[][]> {
	const { product, lists } = readBy(listsSchema, input, 'The question');
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const page = catalog.product(product) ?? null;
	return lists.map((query) => catalog.lists.list(query, page));
}
