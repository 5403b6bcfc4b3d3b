<script lang="ts">
	import { edgePlace, type Placement } from '@anbau/core/pieces';
	import Popover from '$lib/ui/Popover.svelte';

	/** How a piece floats at an edge: distances, when it comes, and whether the visitor can close it. */
	let { placement, onchange }: { placement: Placement; onchange: (change: Partial<Placement>) => void } = $props();
	const place = $derived(edgePlace(placement));
	const numbers = [
		['insetInline', 'From the sides', 400],
		['insetBlock', 'From top or bottom', 400],
		['reveal', 'Comes after scrolling', 100_000]
	] as const;
</script>

<Popover label="At the edge" contentClass="w-80">
	{#snippet trigger()}{place.insetInline} and {place.insetBlock} px from the edges, {place.reveal === 0
			? 'at once'
			: `after ${place.reveal} px of scrolling`}{place.closable ? ', to be closed' : ''}{/snippet}
	<div class="grid gap-2">
		{#each numbers as [name, words, most] (name)}
			<label class="flex items-center gap-2"
				><span class="flex-1">{words}</span><input
					class="input input-sm w-24 font-mono"
					type="number"
					min="0"
					max={most}
					value={place[name]}
					onchange={(event) =>
						onchange({ [name]: Math.min(most, Math.max(0, Math.round(event.currentTarget.valueAsNumber || 0))) })}
				/><span class="text-muted">px</span></label
			>
		{/each}
		<label class="flex cursor-pointer items-center gap-2"
			><input
				type="checkbox"
				class="checkbox checkbox-sm checkbox-primary"
				checked={place.closable}
				onchange={(event) => onchange({ closable: event.currentTarget.checked })}
			/>visitors can close it, and it stays closed</label
		>
	</div>
	<p class="text-muted mt-2 text-[13px]">On a phone it steps aside wherever the buy button is.</p>
</Popover>
