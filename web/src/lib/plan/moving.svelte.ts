import { toast } from 'svelte-sonner';
import { kindFault, movedTo, type Piece } from '@anbau/core/pieces';
import { movesOf, type Exception, type Hung, type Move } from '@anbau/core/placement';
import type { PieceView } from '$lib/contracts.js';
import { documentOf } from '$lib/desk/newPiece.js';
import { request, sentenceOf } from '$lib/desk/request.js';
import { waitingCount } from '$lib/desk/waiting.svelte.js';
import type { Plan } from './plan.svelte.js';

/** Moves what hangs on a plan: shown at once, saved as it goes, one undo away. */
export class Moving {
	/** What is being dragged. */
	dragged = $state.raw<Hung | null>(null);
	saving = $state(false);
	private done: Move[][] = [];
	canUndo = $state(false);
	private running: Promise<void> = Promise.resolve();
	/** Moves that are not saved yet. */
	private waiting = 0;

	constructor(private readonly plan: Plan) {}

	/** Puts something on a hook before another thing that hangs there, or behind all. */
	drop(one: Hung, hook: string, before: string | null): void {
		if (one.id === before) return;
		const own = this.ownPriority(one);
		const others = this.plan.everything(hook).filter(({ id }) => id !== one.id);
		const moves = movesOf(one, hook, others, before);
		if (own && hook === this.hookOf(one)) return this.setOwn(own, this.priorityIn(moves, one));
		this.apply(moves);
	}

	/** Gives something another number; with one of its own on this product, that one changes. */
	renumber(one: Hung, priority: number): void {
		const own = this.ownPriority(one);
		if (own) return this.setOwn(own, priority);
		const { subject } = one;
		this.apply([
			'piece' in subject
				? { piece: subject.piece, placement: subject.placement.id, priority }
				: { houseTab: subject.houseTab, priority }
		]);
	}

	/** Moves something one place along its hook, among what this page shows. */
	step(one: Hung, by: 1 | -1): void {
		const hook = this.hookOf(one);
		const shown = this.plan.shown(hook);
		const at = shown.findIndex(({ id }) => id === one.id);
		const to = at + by;
		if (at < 0 || to < 0 || to >= shown.length) return;
		const before = by < 0 ? shown[to] : shown[to + 1];
		this.drop(one, hook, before?.id ?? null);
	}

	/** Whether something can hang on a hook. */
	takes({ kind, subject }: Hung, hook: string): boolean {
		return 'piece' in subject ? kindFault(kind, hook) === null : hook === 'tabs';
	}

	hookOf({ subject }: Hung): string {
		return 'piece' in subject ? subject.placement.hook : 'tabs';
	}

	undo(): void {
		const moves = this.done.pop();
		this.canUndo = this.done.length > 0;
		if (moves) this.save(moves);
	}

	private priorityIn(moves: readonly Move[], { subject }: Hung): number {
		const own = moves.find((move) =>
			'piece' in subject
				? 'piece' in move && move.piece === subject.piece && move.placement === subject.placement.id
				: 'houseTab' in move && move.houseTab === subject.houseTab
		);
		return own?.priority ?? 1;
	}

	/** This product's own number for something, if it has one. */
	private ownPriority({ subject }: Hung): Extract<Exception, { mode: 'priority' }> | undefined {
		const { page, exceptions } = this.plan;
		if (page.kind !== 'product') return undefined;
		return exceptions.all
			.filter((one) => one.mode === 'priority')
			.filter(({ product }) => product === page.key)
			.find((one) =>
				'piece' in subject
					? 'piece' in one && one.piece === subject.piece && one.placement === subject.placement.id
					: 'houseTab' in one && one.houseTab === subject.houseTab
			);
	}

	private setOwn(own: Extract<Exception, { mode: 'priority' }>, priority: number): void {
		void this.plan.exceptions.put({ ...own, priority });
	}

	private apply(moves: Move[]): void {
		this.done.push(moves.map((move) => this.opposite(move)));
		this.canUndo = true;
		this.save(moves);
	}

	/** What takes a move back. */
	private opposite(move: Move): Move {
		if ('houseTab' in move) {
			const tab = this.plan.houseTabs.find(({ slug }) => slug === move.houseTab);
			return { ...move, priority: tab?.priority ?? move.priority };
		}
		const before = this.plan.pieces[move.piece]?.placements.find(({ id }) => id === move.placement);
		return before
			? { ...move, priority: before.priority, ...(move.hook === undefined ? {} : { hook: before.hook }) }
			: move;
	}

	private save(moves: Move[]): void {
		for (const move of moves) this.show(move);
		this.waiting++;
		void this.inTurn(async () => {
			this.waiting--;
			const views = await request<PieceView[]>('/api/v1/order', { method: 'POST', body: { moves } });
			// While more moves wait, what the screen shows is newer.
			if (this.waiting > 0) return;
			for (const view of views) this.plan.pieces = { ...this.plan.pieces, [view.slug]: view };
		});
	}

	/** Shows a move before the server has it. */
	private show(move: Move): void {
		const { plan } = this;
		if ('houseTab' in move) {
			plan.houseTabs = plan.houseTabs.map((tab) =>
				tab.slug === move.houseTab ? { ...tab, priority: move.priority } : tab
			);
			return;
		}
		const view = plan.pieces[move.piece];
		if (!view) return;
		const placements = view.placements.map((one) => {
			if (one.id !== move.placement) return one;
			return { ...(move.hook === undefined ? one : movedTo(one, move.hook)), priority: move.priority };
		});
		plan.pieces = { ...plan.pieces, [view.slug]: { ...view, placements } };
	}

	/** Saves run one after the other; after a failure the screen shows what the server has. */
	private inTurn(work: () => Promise<unknown>): Promise<void> {
		this.running = this.running.then(async () => {
			this.saving = true;
			try {
				await work();
			} catch (error) {
				toast.error(sentenceOf(error));
				await this.reload().catch(() => undefined);
			} finally {
				this.saving = false;
			}
			await waitingCount.refresh().catch(() => undefined);
		});
		return this.running;
	}

	/** Writes a piece's draft over the version that is known here. */
	async write(view: PieceView, piece: Piece): Promise<void> {
		const headers = { 'if-match': `"${view.version}"` };
		const path = `/api/v1/pieces/${encodeURIComponent(view.slug)}`;
		const saved = await request<PieceView>(path, { method: 'PUT', body: piece, headers });
		this.plan.pieces = { ...this.plan.pieces, [saved.slug]: saved };
		await waitingCount.refresh();
	}

	/** Takes a piece off a hook, on every page. */
	takeOff(view: PieceView, placement: string): Promise<void> {
		const piece = documentOf(view);
		const placements = piece.placements.filter(({ id }) => id !== placement);
		return this.inTurn(async () => {
			await this.write(view, { ...piece, placements });
			toast(`“${view.name}” no longer hangs here.`, {
				action: { label: 'Undo', onClick: () => void this.putBack(view.slug, piece) }
			});
		});
	}

	private async putBack(slug: string, piece: Piece): Promise<void> {
		const view = this.plan.pieces[slug];
		if (view) await this.inTurn(() => this.write(view, { ...documentOf(view), placements: piece.placements }));
	}

	/** Reads again what the server has. */
	async reload(): Promise<void> {
		const views = await request<PieceView[]>('/api/v1/pieces');
		this.plan.pieces = Object.fromEntries(
			views
				.filter(({ state }) => state.publication !== 'removed with the next release')
				.map((view) => [view.slug, view])
		);
		this.plan.houseTabs = await request('/api/v1/house-tabs');
	}
}
