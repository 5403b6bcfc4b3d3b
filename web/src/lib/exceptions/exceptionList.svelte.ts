import { toast } from 'svelte-sonner';
import type { Exception } from '@anbau/core/placement';
import type { ExceptionView } from '$lib/contracts.js';
import { request, sentenceOf } from '$lib/desk/request.js';
import { waitingCount } from '$lib/desk/waiting.svelte.js';

/** The exceptions that a screen shows, written and dropped at once; pages change with the next release. */
export class ExceptionList {
	rows = $state.raw<ExceptionView[]>([]);
	readonly all = $derived(this.rows.map(({ exception }) => exception));

	constructor(rows: ExceptionView[]) {
		this.rows = rows;
	}

	/** Writes an exception, in place of an earlier one of the same name; answers whether it was taken. */
	async put(exception: Exception): Promise<boolean> {
		try {
			const view = await request<ExceptionView>('/api/v1/exceptions', { method: 'POST', body: exception });
			this.rows = [...this.rows.filter(({ id }) => id !== view.id), view];
			await waitingCount.refresh();
			return true;
		} catch (error) {
			toast.error(sentenceOf(error));
			return false;
		}
	}

	/** Lets a product follow the library again; one undo away. */
	async drop(row: ExceptionView): Promise<void> {
		try {
			await request(`/api/v1/exceptions/${row.id}`, { method: 'DELETE' });
			this.rows = this.rows.filter(({ id }) => id !== row.id);
			toast(`${row.productTitle ?? row.exception.product} follows the library again.`, {
				action: { label: 'Undo', onClick: () => void this.put(row.exception) }
			});
			await waitingCount.refresh();
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
}
