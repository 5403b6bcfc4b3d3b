import { z } from 'zod';
import { slugSchema } from '@anbau/core/pieces';
import type { HouseTab } from '@anbau/core/placement';
import { writeAudit } from '../db/audit.js';
import { allHouseTabs, houseTabBySlug, saveHouseTab } from '../db/houseTabs.js';
import { database, transaction } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';

export const houseTabSchema = z.strictObject({
	name: z.string().trim().min(1, 'must not be empty').max(200),
	hidden: z.boolean().default(false),
	priority: z.number().int('must be a whole number').min(1).max(999)
});

export function listHouseTabs(actor: Actor): Promise<HouseTab[]> {
	return allHouseTabs(database(), actor.storeId);
}

export async function getHouseTab(actor: Actor, slug: string): Promise<HouseTab> {
	const tab = await houseTabBySlug(database(), actor.storeId, slug);
	if (!tab) throw new Problem('not-found', 404, `There is no house tab “${slug}”.`);
	return tab;
}

/** Writes a house tab's draft; pages change with the next release. */
export async function putHouseTab(actor: Actor, slug: string, input: unknown): Promise<HouseTab> {
	const tab = {
		slug: readBy(slugSchema, slug, 'The slug'),
		...readBy(houseTabSchema, withoutSlug(input), 'The house tab')
	};
	await transaction(async (client) => {
		const before = (await houseTabBySlug(client, actor.storeId, tab.slug)) ?? null;
		await saveHouseTab(client, actor.storeId, tab);
		await writeAudit(client, actor, before ? 'save' : 'create', `house tab ${tab.slug}`, before, tab);
	});
	return tab;
}

/** A house tab that was read can be sent back, its slug with it. */
function withoutSlug(input: unknown): unknown {
	if (typeof input !== 'object' || input === null || Array.isArray(input)) return input;
	return Object.fromEntries(Object.entries(input).filter(([name]) => name !== 'slug'));
}
