<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { toast } from 'svelte-sonner';
	import { factsOfProduct, type Product } from '@anbau/core/catalog';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import type { Found } from '$lib/reach/protocol.js';
	import Popover from '$lib/ui/Popover.svelte';
	import type { LibraryView } from './arrange.js';

	/** Filters the library by a product that pieces reach. */
	let { product = $bindable() }: { product: LibraryView['product'] } = $props();
	let open = $state(false);
	let text = $state('');
	let found = $state.raw<Found[]>([]);

	$effect(() => {
		if (!open) return;
		const asked = text;
		void catalogIndex.ask('search', { text: asked, fields: ['product'] }).then((answer) => {
			if (asked === text) found = answer;
		});
	});

	async function choose(key: string, close: () => void) {
		close();
		try {
			const chosen = await request<Product>(`/api/v1/products/${encodeURIComponent(key)}`);
			product = { title: chosen.title, facts: factsOfProduct(chosen) };
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
</script>

{#if product}
	<span class="chip bg-plum-soft text-plum h-7 max-w-64">
		<span class="truncate">reaches {product.title}</span>
		<button class="cursor-pointer" aria-label="Whatever it reaches" onclick={() => (product = null)}
			><X class="size-3.5" /></button
		>
	</span>
{:else}
	<Popover
		label="Reaches product"
		bind:open
		triggerClass="chip border cursor-pointer h-7 bg-base-100 border-base-300 hover:bg-base-300/50"
	>
		{#snippet trigger()}Reaches product …{/snippet}
		{#snippet children(close)}
			<input
				class="input input-sm mb-2 w-full"
				placeholder="Title or key"
				aria-label="Search products"
				bind:value={text}
				onkeydown={(event) => {
					const [first] = found;
					if (event.key === 'Enter' && first) void choose(first.value, close);
				}}
			/>
			{#each found as one (one.value)}
				<button
					class="rounded-field hover:bg-base-200 block w-full truncate px-2 py-1 text-left"
					onclick={() => choose(one.value, close)}>{one.label}</button
				>
			{:else}
				<p class="text-muted px-2">No product is called so.</p>
			{/each}
		{/snippet}
	</Popover>
{/if}
