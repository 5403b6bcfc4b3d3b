import type { PageRef, Product } from '@anbau/core/catalog';
import { GUEST, wallInstant, type Device, type Piece, type Visitor } from '@anbau/core/pieces';
import { everythingOn, shortestReason, shownOn, type HousePart, type HouseTab, type Hung } from '@anbau/core/placement';
import type { PlanData as Drafts, PieceView, StoreView } from '$lib/contracts.js';
import { ExceptionList } from '$lib/exceptions/exceptionList.svelte.js';
import { documentOf } from '$lib/desk/newPiece.js';
import { catalogIndex } from '$lib/reach/catalogIndex.js';
import { Surroundings, type LookedAt } from '$lib/workbench/surroundings.svelte.js';

/** What the plan is told of the store. */
export type PlanData = Drafts & { store: StoreView };

export type PlannedKind = 'product' | 'category' | 'article';

/** Something that hangs on a hook, but not on this page. */
export interface NotHere {
	one: Hung;
	reason: string;
}

/** What a page shows on each of its hooks, for a visitor, on a device, at a time; all of it as it is drafted. */
export class Plan {
	page = $state.raw<PageRef>({ kind: 'product', key: '' });
	product = $state.raw<Product | null>(null);
	/** The page's name, and its place among the others of its kind. */
	title = $state('');
	visitor = $state.raw<Visitor>(GUEST);
	device = $state<Device>('desktop');
	/** A wall time in the store's zone; null is now. */
	at = $state<string | null>(null);
	hook = $state<string | null>(null);
	pieces = $state.raw<Record<string, PieceView>>({});
	houseTabs = $state.raw<HouseTab[]>([]);
	readonly exceptions: ExceptionList;
	readonly around: Surroundings;
	private position = 0;
	private turn = 0;

	readonly now = $derived.by(() => (this.at === null ? this.data.now : wallInstant(this.at, this.data.store.zone)));
	readonly documents = $derived.by(() =>
		Object.fromEntries(Object.entries(this.pieces).map(([slug, view]) => [slug, documentOf(view)]))
	);
	private readonly release = $derived.by(() =>
		this.around.compiled(this.documents, (slug) => !this.pieces[slug]?.on, this.now)
	);
	readonly looked = $derived.by((): LookedAt => {
		const { page, product, visitor, now } = this;
		return { page, product, visitor, now };
	});
	readonly document = $derived.by(() =>
		this.page.kind === 'product' && !this.product ? null : this.release.resolve(this.around.asked(this.looked))
	);

	constructor(private readonly data: PlanData) {
		this.pieces = Object.fromEntries(data.pieces.map((view) => [view.slug, view]));
		this.houseTabs = data.houseTabs;
		this.exceptions = new ExceptionList(data.exceptions);
		// Read anew whenever they change here.
		const houseTabs = () => this.houseTabs;
		const exceptions = () => this.exceptions.all;
		this.around = new Surroundings({
			...data,
			others: {},
			off: new Set(),
			icons: () => data.icons,
			get houseTabs() {
				return houseTabs();
			},
			get exceptions() {
				return exceptions();
			}
		});
	}

	/** Everything that hangs on a hook of this kind of page. */
	everything(hook: string): Hung[] {
		return everythingOn({ pieces: this.documents, houseTabs: this.houseTabs }, this.page.kind, hook);
	}

	/** The theme's own parts that are moved to a hook of this kind of page. */
	partsOn(hook: string): HousePart[] {
		return this.data.houseParts.filter((part) => part.page === this.page.kind && part.hook === hook);
	}

	/** What this page shows on a hook, on the device that is looked at. */
	shown(hook: string): Hung[] {
		const { document, device } = this;
		if (!document) return [];
		return shownOn(document, hook, this.everything(hook)).filter(({ devices }) => devices.includes(device));
	}

	/** What hangs on a hook and is not on this page, each with the shortest reason. */
	notHere(hook: string): NotHere[] {
		const shown = new Set(this.shown(hook).map(({ id }) => id));
		return this.everything(hook)
			.filter(({ id }) => !shown.has(id))
			.map((one) => ({ one, reason: this.why(one) }));
	}

	private why({ subject, devices }: Hung): string {
		if (!('piece' in subject)) return subject.hidden ? 'hidden on every product' : 'hidden here by hand';
		const { document } = this;
		const view = this.pieces[subject.piece];
		if (!document || !view) return '';
		const piece: Piece = documentOf(view);
		const explanation = this.around.explain({ slug: view.slug, piece, on: view.on }, this.looked, document);
		return (
			shortestReason(piece, explanation) || (devices.includes(this.device) ? '' : `only on ${devices.join(' and ')}`)
		);
	}

	/** Looks at a page of a kind; of products at the one with this key, or at the first. */
	async lookAt(kind: PlannedKind, key: string | null): Promise<void> {
		if (kind === 'product') return this.leafTo(0, key);
		this.turn++;
		this.product = null;
		this.page = { kind, key: key ?? '' };
		this.title = key ?? '';
	}

	/** Leafs to the next or the previous product. */
	leaf(step: 1 | -1): Promise<void> {
		return this.page.kind === 'product' ? this.leafTo(this.position + step, null) : Promise.resolve();
	}

	private async leafTo(position: number, near: string | null): Promise<void> {
		const turn = ++this.turn;
		await catalogIndex.ask('load', { version: null });
		await this.around.learnNames([]);
		const every = { rule: { all: [] }, now: this.data.now, shown: true };
		const found = await catalogIndex.ask('leaf', { ...every, position, near });
		if (!found) return;
		const product = await this.around.product(found.key);
		if (turn !== this.turn) return;
		this.position = found.position;
		this.product = product;
		this.page = { kind: 'product', key: product.key };
		this.title = product.title;
		// The neighbours are fetched ahead, so that leafing on redraws at once.
		for (const step of [1, -1]) {
			const next = await catalogIndex.ask('leaf', { ...every, position: found.position + step, near: null });
			if (next) void this.around.product(next.key).catch(() => undefined);
		}
	}
}
