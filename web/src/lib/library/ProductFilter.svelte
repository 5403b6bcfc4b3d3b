<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { toast } from 'svelte-sonner';
	import { factsOfProduct, type Product } from '@anbau/core/catalog';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import ProductPick from '$lib/ui/ProductPick.svelte';
	import type { LibraryView } from './arrange.js';

	/** Filters the library by a product that pieces reach. */
	let { product = $bindable() }: { product: LibraryView['product'] } = $props();
	async function choose(key: string) {
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
	<ProductPick label="Reaches product" words="Reaches product …" onpick={({ value }) => void choose(value)} />
{/if}
