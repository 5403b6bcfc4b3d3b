import { placementFault, slugSchema } from '@anbau/core/pieces';
import { housePartSchema, ownHooks, type HousePart } from '@anbau/core/placement';
import { writeAudit } from '../db/audit.js';
import { database, transaction } from '../db/pool.js';
import { allHooks, allHouseParts, deleteHousePart, saveHousePart } from '../db/theme.js';
import type { Actor } from '../db/users.js';
import { Problem, readBy } from '../problem.js';
import { checkSelector } from '../weave/selector.js';
import { withoutSaid } from '../withoutSaid.js';

export function listHouseParts(actor: Actor): Promise<HousePart[]> {
	return allHouseParts(database(), actor.storeId);
}

export async function getHousePart(actor: Actor, slug: string): Promise<HousePart> {
	const part = (await listHouseParts(actor)).find((one) => one.slug === slug);
	if (!part) throw missing(slug);
	return part;
}

/** Hangs an element of the theme on another hook; pages change with the next release. */
export async function putHousePart(actor: Actor, slug: string, input: unknown): Promise<HousePart> {
	const goodSlug = readBy(slugSchema, slug, 'The slug');
	const part = { slug: goodSlug, ...readBy(housePartSchema, withoutSaid(input, ['slug']), 'The house part') };
	checkSelector(part.from, '/from');
	await transaction(async (client) => {
		const message = placementFault(part.page, part.hook, ownHooks(await allHooks(client, actor.storeId)));
		if (message)
			throw new Problem('invalid', 422, 'The house part cannot be taken as it is.', [{ at: '/hook', message }]);
		const before = (await allHouseParts(client, actor.storeId)).find((one) => one.slug === goodSlug) ?? null;
		await saveHousePart(client, actor.storeId, part);
		await writeAudit(client, actor, before ? 'save' : 'create', `house part ${goodSlug}`, before, part);
	});
	return part;
}

/** Lets an element of the theme be where the theme has it. */
export async function removeHousePart(actor: Actor, slug: string): Promise<void> {
	await transaction(async (client) => {
		if (!(await deleteHousePart(client, actor.storeId, slug))) throw missing(slug);
		await writeAudit(client, actor, 'delete', `house part ${slug}`);
	});
}

function missing(slug: string): Problem {
	return new Problem('not-found', 404, `There is no house part “${slug}”.`);
}
