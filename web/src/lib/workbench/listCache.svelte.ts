import type { ListQuery, Product, ProductSource } from '@anbau/core/catalog';
import { request } from '$lib/desk/request.js';

/**
 * The product lists of pages as the server has them. One that is asked for and not there yet is empty at first; once it
 * has come, whatever was rendered with it is rendered anew.
 */
export class ListCache {
	private version = $state(0);
	/** How many times it is asking the server at the moment. */
	asking = $state(0);
	private readonly found = new Map<string, Product[]>();
	private readonly wanted = new Map<string, Map<string, ListQuery>>();

	/** The lists on the page of a product. */
	on(product: string): ProductSource {
		return { list: (query) => this.list(product, query) };
	}

	private list(product: string, query: ListQuery): Product[] {
		void this.version;
		if (query.source === 'recent') return [];
		const id = JSON.stringify(query);
		const found = this.found.get(`${product} ${id}`);
		if (found) return found;
		if (this.wanted.size === 0) queueMicrotask(() => void this.fetch());
		const own = this.wanted.get(product) ?? new Map<string, ListQuery>();
		this.wanted.set(product, own.set(id, query));
		return [];
	}

	private async fetch(): Promise<void> {
		this.asking++;
		const wanted = [...this.wanted];
		this.wanted.clear();
		for (const [product, queries] of wanted) {
			const body = { product, lists: [...queries.values()] };
			const lists = await request<Product[][]>('/api/v1/product-lists', { method: 'POST', body }).catch(() => []);
			[...queries.keys()].forEach((id, i) => this.found.set(`${product} ${id}`, lists[i] ?? []));
		}
		this.version++;
		this.asking--;
	}
}
