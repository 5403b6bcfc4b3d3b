import { z } from 'zod';
import { styleSchema } from '@anbau/core/pieces';
import { writeAudit } from '../db/audit.js';
import { tell } from '../db/notify.js';
import { transaction } from '../db/pool.js';
import { saveStoreSettings, saveStoreStyle } from '../db/stores.js';
import { storeSettingsSchema } from '../db/storeSettings.js';
import type { Actor } from '../db/users.js';
import { readBy } from '../problem.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';
import { storeView, type StoreView } from './storeView.js';

export const storePatchSchema = z.strictObject({
	settings: storeSettingsSchema.optional(),
	style: styleSchema.optional()
});

/** Changes a store's settings, which act at once, and the draft of its style, which waits for a release. */
export async function patchStore(actor: Actor, input: unknown): Promise<StoreView> {
	const { settings, style } = readBy(storePatchSchema, input, 'The store');
	const { store } = await storeStates.byId(actor.storeId, Date.now());
	await transaction(async (client) => {
		if (settings) await saveStoreSettings(client, actor.storeId, settings);
		if (style) await saveStoreStyle(client, actor.storeId, style);
		const before = { settings: store.settings, style: store.style };
		await writeAudit(client, actor, 'save', 'store', before, { settings, style });
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'release' });
	});
	await storeStates.reloadRelease(actor.storeId);
	return storeView(actor);
}
