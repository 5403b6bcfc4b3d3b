import { untrack } from 'svelte';
import type { Product } from '@anbau/core/catalog';
import { effectiveTarget, GUEST } from '@anbau/core/pieces';
import { leavesOf } from '@anbau/core/rules';
import { catalogIndex } from '$lib/reach/catalogIndex.js';
import type { Leafed, ReachSummary } from '$lib/reach/protocol.js';
import type { Surroundings } from './surroundings.svelte.js';
import type { Workbench } from './workbench.svelte.js';

/** What the workbench looks at: the reach of the piece, one product that shows it or not, its page, and why. */
export class Looking {
	shown = $state(true);
	leafed = $state.raw<Leafed | null>(null);
	product = $state.raw<Product | null>(null);
	summary = $state.raw<ReachSummary | null>(null);
	/** Hooks that the page looked at does not have. */
	missing = $state.raw<string[]>([]);
	private near: string | null;
	private position = $state(0);
	/** Counts the times that a product was asked for by name. */
	private asked = $state(0);
	private turn = 0;

	private readonly target = $derived.by(() => JSON.stringify(effectiveTarget(this.bench.piece)));
	readonly document = $derived.by(() =>
		this.product ? this.around.resolve(this.bench.slug, this.bench.piece, this.bench.on, this.product, this.now) : null
	);
	readonly explanation = $derived.by(() =>
		this.product && this.document
			? this.around.explain(
					{ slug: this.bench.slug, piece: this.bench.piece, on: this.bench.on },
					{ page: { kind: 'product', key: this.product.key }, product: this.product, visitor: GUEST, now: this.now },
					this.document,
					this.missing
				)
			: null
	);

	constructor(
		private readonly bench: Workbench,
		private readonly around: Surroundings,
		private readonly now: number,
		product: string | null
	) {
		this.near = product;
	}

	/** Keeps everything in step with the piece; to be run as an effect. */
	follow(): void {
		const { target, shown, position } = this;
		void this.asked;
		// What is found must not ask anew.
		untrack(() => void this.look(target, shown, position));
	}

	private async look(target: string, shown: boolean, position: number): Promise<void> {
		const turn = ++this.turn;
		const rule = effectiveTarget(this.bench.piece);
		const { now } = this;
		if (this.summary === null) {
			await catalogIndex.ask('load', { version: null });
			await this.around.learnNames(leavesOf(rule).flatMap(({ leaf }) => (leaf.field === 'product' ? leaf.value : [])));
		}
		const summary = await catalogIndex.ask('reach', { rule, now });
		const leafed = await catalogIndex.ask('leaf', { rule, now, shown, position, near: this.near });
		if (turn !== this.turn || target !== this.target) return;
		this.summary = summary;
		this.leafed = leafed;
		if (leafed) {
			this.near = leafed.key;
			if (leafed.key !== this.product?.key) await this.take(leafed, turn);
		} else this.product = null;
	}

	private async take(leafed: Leafed, turn: number): Promise<void> {
		const product = await this.around.product(leafed.key);
		if (turn !== this.turn) return;
		this.missing = [];
		this.product = product;
	}

	/** Looks at products that show the piece, or at those that do not. */
	show(shown: boolean): void {
		this.shown = shown;
		this.near = null;
		this.position = 0;
	}

	/** Looks at one product, among those that show the piece or those that do not. */
	async lookAt(product: string): Promise<void> {
		const rule = effectiveTarget(this.bench.piece);
		const among = await catalogIndex.ask('leaf', { rule, now: this.now, shown: true, position: 0, near: product });
		this.shown = among?.key === product;
		this.near = product;
		this.position = 0;
		this.asked++;
	}

	leaf(step: 1 | -1): void {
		if (!this.leafed) return;
		this.near = null;
		this.position = this.leafed.position + step;
	}
}
