<script lang="ts">
	import Search from '@lucide/svelte/icons/search';
	import X from '@lucide/svelte/icons/x';
	import type { Category } from '@anbau/core/catalog';
	import { debounced } from '$lib/ui/debounced.js';

	interface Props {
		filters: { categories: Category[]; tags: { tag: string; products: number }[] };
		query: URLSearchParams;
		ask: (changes: Record<string, string | null>) => void;
	}
	let { filters, query, ask }: Props = $props();
	const indent = (key: string) => '\u2003'.repeat(key.split('/').length - 1);

	const search = debounced((text: string) => ask({ q: text.trim() }));
</script>

<div class="mt-4 flex flex-wrap items-center gap-2">
	<label class="input input-sm h-8 w-64">
		<Search class="text-muted size-4" aria-hidden="true" />
		<input
			type="search"
			placeholder="Title, key or SKU"
			aria-label="Search products"
			value={query.get('q') ?? ''}
			oninput={(event) => search(event.currentTarget.value)}
		/>
	</label>
	<select
		class="select select-sm h-8 w-56"
		aria-label="Category"
		value={query.get('category') ?? ''}
		onchange={(event) => ask({ category: event.currentTarget.value })}
	>
		<option value="">In any category</option>
		{#each filters.categories as { key, title } (key)}<option value={key}>{indent(key)}{title}</option>{/each}
	</select>
	<select
		class="select select-sm h-8 w-56"
		aria-label="Tag"
		value={query.get('tag') ?? ''}
		onchange={(event) => ask({ tag: event.currentTarget.value })}
	>
		<option value="">With any tag</option>
		{#each filters.tags as { tag, products } (tag)}<option value={tag}>{tag} ({products})</option>{/each}
	</select>
	{#if query.has('q') || query.has('category') || query.has('tag')}
		<button class="btn btn-ghost btn-sm h-8" onclick={() => ask({ q: null, category: null, tag: null })}
			><X class="size-4" />Show all</button
		>
	{/if}
</div>
