import type { HousePart, HouseTab, ThemeHook } from '@anbau/core/placement';
import { allHouseTabs } from '../db/houseTabs.js';
import { database } from '../db/pool.js';
import { allHooks, allHouseParts } from '../db/theme.js';
import type { Actor } from '../db/users.js';
import { listExceptions, type ExceptionView } from './exceptions.js';

/** What is drafted beside the pieces: the theme's tabs, parts and hooks, and what products deviate in. */
export interface DraftedTheme {
	houseTabs: HouseTab[];
	houseParts: HousePart[];
	hooks: ThemeHook[];
	exceptions: ExceptionView[];
}

export async function draftedTheme(actor: Actor): Promise<DraftedTheme> {
	const db = database();
	return {
		houseTabs: await allHouseTabs(db, actor.storeId),
		houseParts: await allHouseParts(db, actor.storeId),
		hooks: await allHooks(db, actor.storeId),
		exceptions: await listExceptions(actor, {})
	};
}
