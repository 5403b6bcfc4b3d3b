import type { PageRef, Product } from '@anbau/core/catalog';
import { liveContext, type LiveContext } from '@anbau/core/pieces';
import type { StoreState } from './storeStates.js';

const HOUR = 3_600_000;

/** What live values are filled from on a page of a store; attributes read as they were published. */
export function liveOn(state: StoreState, page: PageRef, product: Product | null, now: number): LiveContext {
	const { store, catalog, release, icons, reviews } = state;
	const { delivery, ageLimitHours, frameHosts } = store.settings;
	return liveContext({
		product,
		category: page.kind === 'category' ? page.key : (product?.categories[0] ?? null),
		locale: store.locale,
		now,
		zone: store.zone,
		store: { name: store.name, url: store.url },
		categoryTitle: catalog.categoryTitle,
		attribute: (code) => release.attribute(catalog.attribute(code)),
		categoryValue: catalog.categoryValue,
		delivery,
		ageLimit: ageLimitHours === null ? null : ageLimitHours * HOUR,
		products: catalog.lists,
		reviews: reviews.source(store.visitorSecret),
		frameHosts,
		icon: (slug) => icons.get(slug),
		base: liveBase(store.key)
	});
}

/** Where a store's live API is. */
export function liveBase(storeKey: string): string {
	return `${process.env.ORIGIN ?? ''}/live/v1/${encodeURIComponent(storeKey)}`;
}
