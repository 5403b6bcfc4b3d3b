import { slugSchema } from '@anbau/core/pieces';
import { houseTabSchema, type HouseTab } from '@anbau/core/placement';
import { writeAudit } from '../db/audit.js';
import { allHouseTabs, deleteHouseTab, houseTabBySlug, saveHouseTab } from '../db/houseTabs.js';
import { database, transaction } from '../db/pool.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { checkSelector } from '../weave/selector.js';
import { withoutSaid } from '../withoutSaid.js';

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
		...readBy(houseTabSchema, withoutSaid(input, ['slug']), 'The house tab')
	};
	if (tab.binding !== null) checkSelector(tab.binding, '/binding');
	await transaction(async (client) => {
		const before = (await houseTabBySlug(client, actor.storeId, tab.slug)) ?? null;
		await saveHouseTab(client, actor.storeId, tab);
		await writeAudit(client, actor, before ? 'save' : 'create', `house tab ${tab.slug}`, before, tab);
	});
	return tab;
}

/** Forgets one of the theme's tabs; the theme goes on showing it, behind the others. */
export async function removeHouseTab(actor: Actor, slug: string): Promise<void> {
	await transaction(async (client) => {
		if (!(await deleteHouseTab(client, actor.storeId, slug)))
			throw new Problem('not-found', 404, `There is no house tab “${slug}”.`);
		await writeAudit(client, actor, 'delete', `house tab ${slug}`);
	});
}
