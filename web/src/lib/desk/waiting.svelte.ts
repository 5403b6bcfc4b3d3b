import type { Waiting } from '$lib/contracts.js';
import { request } from './request.js';

/** What waits to be published, as the top bar counts it. Screens refresh it after they changed something. */
class WaitingCount {
	changes = $state(0);
	pages = $state(0);
	private asked = 0;

	set({ changes, pages }: Pick<Waiting, 'changes' | 'pages'>): void {
		this.changes = changes;
		this.pages = pages;
	}

	async refresh(): Promise<void> {
		const turn = ++this.asked;
		const found = await request<Waiting>('/api/v1/impact');
		if (turn === this.asked) this.set(found);
	}
}

export const waitingCount = new WaitingCount();
