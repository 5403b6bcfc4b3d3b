<script lang="ts">
	import { onMount } from 'svelte';
	import type { Category } from '@anbau/core/catalog';
	import type { AttributesView } from '$lib/contracts.js';
	import { drawFullness } from './fullnessChart.js';

	/** How full each attribute is in each top category. */
	let { view, categories }: { view: AttributesView; categories: readonly Category[] } = $props();
	let box = $state<HTMLElement>();
	const products = $derived(view.attributes.filter((one) => one.of === 'product'));
	const tops = $derived(categories.filter((one) => one.parent === null));

	onMount(() => {
		let dispose: (() => void) | undefined;
		if (box) void drawFullness(box, products, tops).then((undo) => (dispose = undo));
		return () => dispose?.();
	});
</script>

<div
	bind:this={box}
	class="h-full min-h-72 w-full"
	role="img"
	aria-label="How full each attribute is, per category; the numbers stand in the table below for those who cannot see it"
></div>
<table class="sr-only">
	<thead
		><tr
			><th>Attribute</th>{#each tops as top (top.key)}<th>{top.title}</th>{/each}</tr
		></thead
	>
	<tbody>
		{#each products as { code, label, fullness } (code)}
			<tr
				><th>{label}</th>{#each tops as { key } (key)}{@const one = fullness.byCategory[key]}<td
						>{one ? `${one.filled} of ${one.applies}` : '—'}</td
					>{/each}</tr
			>
		{/each}
	</tbody>
</table>
