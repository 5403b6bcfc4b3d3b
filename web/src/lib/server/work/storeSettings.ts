import { z } from 'zod';
import { styleSchema } from '@anbau/core/pieces';
import { stripSchema } from '@anbau/core/placement';
import { writeAudit } from '../db/audit.js';
import { tell } from '../db/notify.js';
import { transaction } from '../db/pool.js';
import { saveStoreSettings, saveStoreStrip, saveStoreStyle } from '../db/stores.js';
import { storeSettingsSchema } from '../db/storeSettings.js';
import type { Actor } from '../db/users.js';
import { readBy } from '../problem.js';
import { PROCESS_ID, storeStates } from '../state/storeStates.js';
import { storeView, type StoreView } from './storeView.js';

export const storePatchSchema = z.strictObject({
	settings: storeSettingsSchema.optional(),
	style: styleSchema.optional(),
	strip: stripSchema.optional()
});

/** Changes a store's settings, which act at once, and the drafts of its style and its tab strip, which wait for a release. */
export async function patchStore(actor: Actor, input: unknown): Promise<StoreView> {
	const { settings, style, strip } = readBy(storePatchSchema, input, 'The store');
	const { store } = await storeStates.byId(actor.storeId, Date.now());
	await transaction(async (client) => {
		if (settings) await saveStoreSettings(client, actor.storeId, settings);
		if (style) await saveStoreStyle(client, actor.storeId, style);
		if (strip) await saveStoreStrip(client, actor.storeId, strip);
		const before = { settings: store.settings, style: store.style, strip: store.strip };
		await writeAudit(client, actor, 'save', 'store', before, { settings, style, strip });
		await tell(client, { process: PROCESS_ID, store: actor.storeId, what: 'release' });
	});
	await storeStates.reloadRelease(actor.storeId);
	return storeView(actor);
}
