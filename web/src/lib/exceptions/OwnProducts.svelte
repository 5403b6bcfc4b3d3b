<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { onMount, untrack } from 'svelte';
	import type { Product } from '@anbau/core/catalog';
	import type { PieceView } from '$lib/contracts.js';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import { searchProducts } from '$lib/reach/searchProducts.js';
	import PickList from '$lib/ui/PickList.svelte';
	import Sheet from '$lib/ui/Sheet.svelte';
	import type { ExceptionList } from './exceptionList.svelte.js';

	/** One product's own choice in the product lists of a shared piece; none takes the list away here. */
	interface Props {
		list: ExceptionList;
		product: Product;
		piece: PieceView;
		panel: string | null;
		onclose: () => void;
	}
	let { list, product, piece, panel, onclose }: Props = $props();
	const known = untrack(() =>
		list.all.find(
			(one) => one.mode === 'products' && one.product === product.key && one.piece === piece.slug && one.panel === panel
		)
	);
	let keys = $state.raw<string[]>(known?.mode === 'products' ? known.products : []);
	let titles = $state.raw<Record<string, string>>({});
	onMount(async () => {
		await catalogIndex.ask('load', { version: null });
		titles = (await catalogIndex.ask('names', { products: keys })).products;
	});

	function pick({ value, label }: { value: string; label: string }) {
		titles = { ...titles, [value]: label };
		keys = keys.includes(value) ? keys.filter((key) => key !== value) : [...keys, value];
	}
	async function save() {
		if (await list.put({ product: product.key, piece: piece.slug, mode: 'products', panel, products: keys })) onclose();
	}
</script>

<Sheet title={`Own products on ${product.title}`} narrow {onclose}>
	<p class="text-muted">In the product list of “{piece.name}”, on this product only. None takes the list away here.</p>
	<ol class="mt-3 grid gap-1" aria-label="Chosen">
		{#each keys as key (key)}
			<li class="bg-plum-soft text-plum flex items-center gap-2 rounded-md px-2 py-1">
				<span class="min-w-0 flex-1 truncate">{titles[key] ?? key}</span>
				<button
					type="button"
					aria-label={`Take out ${titles[key] ?? key}`}
					onclick={() => (keys = keys.filter((one) => one !== key))}><X class="size-3.5" /></button
				>
			</li>
		{/each}
	</ol>
	<div class="mt-3"><PickList label="Search products" search={searchProducts} chosen={keys} onpick={pick} /></div>
	{#snippet actions()}
		<button type="button" class="btn btn-primary btn-sm h-9" onclick={() => void save()}>Keep this choice here</button>
		<button type="button" class="btn btn-sm h-9" onclick={onclose}>Leave it shared</button>
	{/snippet}
</Sheet>
