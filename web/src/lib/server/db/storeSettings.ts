import { z } from 'zod';
import { deliverySchema } from '@anbau/core/pieces';

/** A store's settings that act at once. */
export const storeSettingsSchema = z.strictObject({
	delivery: deliverySchema.nullable().default(null),
	/** How many hours price and stock hold after they were last confirmed; null for ever. */
	ageLimitHours: z.number().min(1, 'must be an hour at least').max(8760).nullable().default(null)
});
export type StoreSettings = z.infer<typeof storeSettingsSchema>;
