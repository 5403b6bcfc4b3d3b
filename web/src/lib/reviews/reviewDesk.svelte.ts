import { toast } from 'svelte-sonner';
import type { Moderation, Review, ReviewOrder, ReviewState } from '@anbau/core/reviews';
import type { ReviewsView, ReviewStatistics, ReviewView } from '$lib/contracts.js';
import { request, sentenceOf } from '$lib/desk/request.js';
import { counted } from '$lib/desk/words.js';

/** What a list of reviews is filtered by; empty is any. */
export interface ReviewChoice {
	state: ReviewState | '';
	rating: number | '';
	verified: 'true' | 'false' | '';
	product: string;
	q: string;
	order: ReviewOrder;
	page: number;
}

/** The reviews of a store as they are looked through: filtered, marked, one under the cursor, shown, hidden, answered. */
export class ReviewDesk {
	view = $state.raw<ReviewsView>({ reviews: [], total: 0, counts: { waiting: 0, shown: 0, hidden: 0 } });
	statistics = $state.raw<ReviewStatistics | null>(null);
	choice = $state.raw<ReviewChoice>(FIRST);
	marked = $state.raw<ReadonlySet<string>>(new Set());
	/** The id of the review that keys are about. */
	at = $state<string | null>(null);
	private turn = 0;

	constructor(view: ReviewsView) {
		this.view = view;
		this.at = view.reviews[0]?.id ?? null;
	}

	get current(): ReviewView | undefined {
		return this.view.reviews.find(({ id }) => id === this.at);
	}

	/** What an action is for: everything marked, else the review under the cursor. */
	get subjects(): string[] {
		if (this.marked.size > 0) return [...this.marked];
		return this.at === null ? [] : [this.at];
	}

	/** The parts of the question that are asked. */
	get query(): string {
		const asked = Object.entries(this.choice).filter(([, value]) => value !== '');
		return new URLSearchParams(asked.map(([name, value]) => [name, String(value)])).toString();
	}

	async choose(change: Partial<ReviewChoice>): Promise<void> {
		this.choice = { ...this.choice, page: 1, ...change };
		this.marked = new Set();
		await this.load();
		if (change.product !== undefined) await this.count();
	}

	async load(): Promise<void> {
		const turn = ++this.turn;
		try {
			const view = await request<ReviewsView>(`/api/v1/reviews?${this.query}`);
			// An older answer must not replace a newer one.
			if (turn !== this.turn) return;
			const before = this.view.reviews.findIndex(({ id }) => id === this.at);
			this.view = view;
			if (!this.current) this.at = (view.reviews[before] ?? view.reviews.at(-1))?.id ?? null;
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}

	/** Asks how the reviews that are looked at stand. */
	async count(): Promise<void> {
		const { product } = this.choice;
		try {
			const path = `/api/v1/reviews/statistics?product=${encodeURIComponent(product)}`;
			this.statistics = await request<ReviewStatistics>(path);
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}

	/** Moves the cursor in the list. */
	move(by: number): void {
		const { reviews } = this.view;
		const at = reviews.findIndex(({ id }) => id === this.at);
		this.at = reviews[Math.max(0, Math.min(reviews.length - 1, at + by))]?.id ?? null;
	}

	mark(id: string): void {
		const marked = new Set(this.marked);
		if (!marked.delete(id)) marked.add(id);
		this.marked = marked;
	}

	markAll(): void {
		const all = this.view.reviews.map(({ id }) => id);
		this.marked = this.marked.size === all.length ? new Set() : new Set(all);
	}

	/** Shows, hides or answers reviews at once; can be undone from the notice. */
	async moderate(ids: string[], change: Moderation): Promise<boolean> {
		const before = this.view.reviews.filter(({ id }) => ids.includes(id));
		try {
			await this.send(ids, change);
			toast(`${counted(ids.length, 'review')} ${change.reply === undefined ? change.state : 'answered'}.`, {
				action: { label: 'Undo', onClick: () => void this.undo(before) }
			});
			return true;
		} catch (error) {
			toast.error(sentenceOf(error));
			return false;
		}
	}

	private async send(ids: string[], change: Moderation): Promise<void> {
		await request('/api/v1/reviews', { method: 'PATCH', body: { ids, ...change } });
		this.marked = new Set();
		await Promise.all([this.load(), this.count()]);
	}

	private async undo(before: readonly Review[]): Promise<void> {
		try {
			for (const { id, state, reason, reply } of before)
				await request('/api/v1/reviews', {
					method: 'PATCH',
					body: { ids: [id], state, ...(state === 'hidden' ? { reason } : {}), reply }
				});
			await Promise.all([this.load(), this.count()]);
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}

	/** Erases a review for good. */
	async erase(id: string): Promise<void> {
		try {
			await request(`/api/v1/reviews/${encodeURIComponent(id)}`, { method: 'DELETE' });
			await Promise.all([this.load(), this.count()]);
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
}

const FIRST: ReviewChoice = {
	state: 'waiting',
	rating: '',
	verified: '',
	product: '',
	q: '',
	order: 'newest',
	page: 1
};
