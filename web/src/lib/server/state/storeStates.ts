import { randomUUID } from 'node:crypto';
import { CompiledRelease, EMPTY_RELEASE } from '@anbau/core/placement';
import { listen, type News } from '../db/notify.js';
import { allIcons } from '../db/icons.js';
import { offSlugs } from '../db/pieces.js';
import { database } from '../db/pool.js';
import { latestRelease } from '../db/releases.js';
import { storeById, storeByKey, type Store } from '../db/stores.js';
import { CatalogState } from './catalogState.js';
import { ReviewsState } from './reviewsState.js';

/** This process among those that share the database. */
export const PROCESS_ID = randomUUID();

/** How long a compiled release stays: rules about age are compiled for a moment. */
const RELEASE_LIFETIME = 10 * 60_000;

/** A store in memory: enough to answer its storefront without the database. */
export interface StoreState {
	store: Store;
	catalog: CatalogState;
	release: CompiledRelease;
	reviews: ReviewsState;
	/** The owner's own icons by slug, as cleaned SVG. */
	icons: ReadonlyMap<string, string>;
}

interface Held extends StoreState {
	off: Set<string>;
	compiledAt: number;
}

/**
 * The stores of this process. A store is read when first asked for; afterwards it is answered from memory and read
 * anew when another process tells that something changed.
 */
class StoreStates {
	private readonly held = new Map<number, Promise<Held>>();
	private readonly idByKey = new Map<string, number>();
	private listening = false;

	/** A store by the key in its public addresses; undefined when there is none. */
	async byKey(key: string, now: number): Promise<StoreState | undefined> {
		let id = this.idByKey.get(key);
		if (id === undefined) {
			const store = await storeByKey(database(), key);
			if (!store) return undefined;
			id = store.id;
			this.idByKey.set(key, id);
		}
		return this.byId(id, now);
	}

	async byId(id: number, now: number): Promise<StoreState> {
		this.startListening();
		let promise = this.held.get(id);
		if (!promise) {
			promise = load(id);
			this.held.set(id, promise);
			promise.catch(() => this.held.delete(id));
		}
		const held = await promise;
		if (now - held.compiledAt > RELEASE_LIFETIME || now < held.compiledAt) recompile(held, now);
		return held;
	}

	/** Reads a store's catalogue anew. */
	async reloadCatalog(id: number): Promise<void> {
		const held = await this.held.get(id);
		if (held) held.catalog = await CatalogState.load(id);
	}

	/** Reads some products anew. */
	async reloadProducts(id: number, keys: readonly string[]): Promise<void> {
		const held = await this.held.get(id);
		if (held) held.catalog = await held.catalog.withProducts(id, keys);
	}

	/** Reads the reviews of some products anew; of all where none is named. */
	async reloadReviews(id: number, products: readonly string[] | null = null): Promise<void> {
		const held = await this.held.get(id);
		if (!held) return;
		const { content } = held.release;
		held.reviews = products ? await held.reviews.withProducts(products, content) : await ReviewsState.load(id, content);
	}

	/** Reads a store's release, off switches, icons and settings anew. */
	async reloadRelease(id: number): Promise<void> {
		const held = await this.held.get(id);
		if (!held) return;
		Object.assign(held, await loadRelease(id));
		// What is quoted by hand follows the release.
		held.reviews = await held.reviews.withProducts([], held.release.content);
	}

	private startListening(): void {
		if (this.listening) return;
		this.listening = true;
		listen(
			process.env.DATABASE_URL ?? '',
			(news) => this.hear(news),
			() => this.hearAll()
		);
	}

	private hear({ process: from, store, what }: News): void {
		if (from === PROCESS_ID) return;
		const reload = this.reload(store, what);
		reload.catch((error: unknown) => console.error('A change by another process could not be read yet.', error));
	}

	private reload(store: number, what: News['what']): Promise<void> {
		if (what === 'catalog') return this.reloadCatalog(store);
		return what === 'reviews' ? this.reloadReviews(store) : this.reloadRelease(store);
	}

	/** After the connection was lost, anything may have changed. */
	private hearAll(): void {
		for (const store of this.held.keys()) {
			this.hear({ process: '', store, what: 'catalog' });
			this.hear({ process: '', store, what: 'release' });
			this.hear({ process: '', store, what: 'reviews' });
		}
	}
}

async function load(id: number): Promise<Held> {
	const [catalog, held] = [await CatalogState.load(id), await loadRelease(id)];
	return { catalog, reviews: await ReviewsState.load(id, held.release.content), ...held };
}

async function loadRelease(id: number): Promise<Omit<Held, 'catalog' | 'reviews'>> {
	const db = database();
	const store = await storeById(db, id);
	if (!store) throw new Error(`There is no store ${id}`);
	const off = new Set(await offSlugs(db, id));
	const row = await latestRelease(db, id);
	const now = Date.now();
	const release = new CompiledRelease(
		row?.number ?? 0,
		row?.content ?? EMPTY_RELEASE,
		store.zone,
		(slug) => off.has(slug),
		now
	);
	return { store, off, release, icons: await allIcons(db, id), compiledAt: now };
}

function recompile(held: Held, now: number): void {
	const { number, content } = held.release;
	held.release = new CompiledRelease(number, content, held.store.zone, (slug) => held.off.has(slug), now);
	held.compiledAt = now;
}

export const storeStates = new StoreStates();
