import { z } from 'zod';
import { oembedProviderSchema } from '@anbau/core/media';
import { deliverySchema } from '@anbau/core/pieces';

/** A store's settings that act at once. */
export const storeSettingsSchema = z.strictObject({
	delivery: deliverySchema.nullable().default(null),
	/** How many hours price and stock hold after they were last confirmed; null for ever. */
	ageLimitHours: z.number().min(1, 'must be an hour at least').max(8760).nullable().default(null),
	/** Hosts whose frames are let into the shop, with their port where it is not the usual one. */
	frameHosts: z
		.array(
			z
				.string()
				.toLowerCase()
				.regex(/^[a-z0-9.-]+(:\d{1,5})?$|^\[[0-9a-f:]+\](:\d{1,5})?$/, 'must be a host like films.example')
		)
		.max(200)
		.default([]),
	/** Who describes links by oEmbed. */
	providers: z.array(oembedProviderSchema).max(50).default([])
});
export type StoreSettings = z.infer<typeof storeSettingsSchema>;
