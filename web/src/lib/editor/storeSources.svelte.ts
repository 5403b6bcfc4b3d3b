import type { AttributeDefinition } from '@anbau/core/catalog';
import type { OwnIcon } from '$lib/contracts.js';
import { request } from '$lib/desk/request.js';
import { provideSources } from './sources.js';

/** Gives a screen the store's attributes and icons; icons can be added. Answers the icons as they are then. */
export function provideStoreSources(attributes: readonly AttributeDefinition[], known: OwnIcon[]): () => OwnIcon[] {
	let icons = $state.raw(known);
	provideSources({
		attributes: () => attributes,
		icons: () => icons,
		addIcon: async (slug, svg) => {
			const path = `/api/v1/icons/${encodeURIComponent(slug)}`;
			icons = [...icons, await request<OwnIcon>(path, { method: 'PUT', body: { svg } })];
		}
	});
	return () => icons;
}
