<script lang="ts">
	import { searchProducts } from '$lib/reach/searchProducts.js';
	import PickList from './PickList.svelte';
	import Popover from './Popover.svelte';

	/** A chip that opens a search for a product. */
	interface Props {
		/** What it is for, to those who cannot see it. */
		label: string;
		words: string;
		/** Keys that are chosen already. */
		chosen?: readonly string[];
		onpick: (product: { value: string; label: string }) => void;
	}
	let { label, words, chosen = [], onpick }: Props = $props();
</script>

<Popover {label} triggerClass="chip border cursor-pointer h-7 bg-base-100 border-base-300 hover:bg-base-300/50">
	{#snippet trigger()}{words}{/snippet}
	{#snippet children(close)}
		<PickList
			label="Search products"
			placeholder="Title or key"
			search={searchProducts}
			{chosen}
			nothing="No product is called so."
			onpick={(product) => {
				close();
				onpick(product);
			}}
		/>
	{/snippet}
</Popover>
