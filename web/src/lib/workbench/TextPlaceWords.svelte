<script lang="ts">
	import { TEXT_SIDES, TEXT_UNITS, textPlace, type Placement } from '@anbau/core/pieces';
	import { textPlaceWords } from '$lib/desk/words.js';
	import Popover from '$lib/ui/Popover.svelte';

	/** Where in the text: above or below the n-th paragraph or heading, once or at every n-th. */
	let { placement, onchange }: { placement: Placement; onchange: (change: Partial<Placement>) => void } = $props();
	const place = $derived(textPlace(placement));
	const select = 'select select-sm h-8 w-auto';
</script>

<Popover label="Place in the text" contentClass="w-80">
	{#snippet trigger()}{textPlaceWords(place)}{/snippet}
	<div class="flex flex-wrap items-center gap-2">
		<select
			class={select}
			aria-label="Side"
			value={place.side}
			onchange={(event) =>
				onchange({ ...place, side: TEXT_SIDES.find((one) => one === event.currentTarget.value) ?? place.side })}
		>
			{#each TEXT_SIDES as side (side)}<option>{side}</option>{/each}
		</select>
		<select
			class={select}
			aria-label="How often"
			value={place.every ? 'every' : 'once'}
			onchange={(event) => onchange({ ...place, every: event.currentTarget.value === 'every' })}
		>
			<option value="once">number</option><option value="every">every</option>
		</select>
		<input
			class="input input-sm w-16 font-mono"
			type="number"
			min="1"
			max="999"
			aria-label="Number"
			value={place.n}
			onchange={(event) => onchange({ ...place, n: event.currentTarget.valueAsNumber || 1 })}
		/>
		<select
			class={select}
			aria-label="What is counted"
			value={place.unit}
			onchange={(event) =>
				onchange({ ...place, unit: TEXT_UNITS.find((one) => one === event.currentTarget.value) ?? place.unit })}
		>
			{#each TEXT_UNITS as unit (unit)}<option>{unit}</option>{/each}
		</select>
	</div>
	<p class="text-muted mt-2 text-[13px]">
		Counted on the theme’s own text; whatever is no heading counts as a paragraph. A shorter text gets nothing.
	</p>
</Popover>
