import type { Actor } from '../db/users.js';
import { storeStates } from '../state/storeStates.js';
import { draftedTheme, type DraftedTheme } from './draftedTheme.js';
import { listPieces, type PieceView } from './pieces.js';
import type { AttributeDefinition, AttributeValue } from '@anbau/core/catalog';
import type { OwnIcon } from './icons.js';

/** What a page is planned from: every draft, and what live values are filled from. */
export interface PlanData extends DraftedTheme {
	pieces: PieceView[];
	attributes: AttributeDefinition[];
	categoryValues: Record<string, Record<string, AttributeValue>>;
	icons: OwnIcon[];
	now: number;
}

export async function planData(actor: Actor, now: number): Promise<PlanData> {
	const { catalog, icons } = await storeStates.byId(actor.storeId, now);
	const pieces = await listPieces(actor, now);
	return {
		...(await draftedTheme(actor)),
		pieces: pieces.filter(({ state }) => state.publication !== 'removed with the next release'),
		attributes: [...catalog.definitions],
		categoryValues: Object.fromEntries(catalog.categories.map(({ key }) => [key, catalog.valuesOfCategory(key)])),
		icons: [...icons].map(([slug, svg]) => ({ slug, svg })),
		now
	};
}
