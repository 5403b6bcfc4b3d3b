<script lang="ts">
	import { WIDTHS, type Placement } from '@anbau/core/pieces';
	import Popover from '$lib/ui/Popover.svelte';

	/** How wide a piece is: its column, the page's container, the window; padding and the most it takes. */
	let { placement, onchange }: { placement: Placement; onchange: (change: Partial<Placement>) => void } = $props();
	const words = { column: 'its column', container: 'the page’s container', full: 'the whole window' };
	let padding = $derived(placement.padding ?? '');
	const isGood = $derived(/^(\d{1,3}px|\d{1,2}%)?$/.test(padding));
	const details = $derived(
		[
			placement.padding && `padding ${placement.padding}`,
			placement.maxWidth && `at most ${placement.maxWidth} px`
		].filter(Boolean)
	);
</script>

as wide as
<Popover label="Width" contentClass="w-72">
	{#snippet trigger()}{words[placement.width]}{#if details.length > 0}&nbsp;({details.join(', ')}){/if}{/snippet}
	{#each WIDTHS as width (width)}
		<button
			type="button"
			class={[
				'rounded-field hover:bg-base-200 w-full px-2 py-1.5 text-left',
				placement.width === width && 'font-semibold'
			]}
			onclick={() => onchange(width === 'column' ? { width, padding: undefined, maxWidth: undefined } : { width })}
			>{words[width]}</button
		>
	{/each}
	{#if placement.width !== 'column'}
		<div class="border-base-300 mt-2 grid gap-2 border-t pt-2">
			<label class="flex items-center gap-2"
				><span class="flex-1">Padding at both sides</span><input
					class="input input-sm w-24 font-mono"
					placeholder="60px or 5%"
					aria-invalid={!isGood}
					value={padding}
					oninput={(event) => {
						padding = event.currentTarget.value.trim();
						if (isGood) onchange({ padding: padding || undefined });
					}}
				/></label
			>
			{#if !isGood}<p class="text-error text-[13px]" role="alert">Pixels like 60px, or percent like 5%.</p>{/if}
			<label class="flex items-center gap-2"
				><span class="flex-1">At most, in pixels</span><input
					class="input input-sm w-24 font-mono"
					type="number"
					min="100"
					max="4000"
					placeholder="1200"
					value={placement.maxWidth}
					onchange={(event) => {
						const most = event.currentTarget.valueAsNumber;
						onchange({ maxWidth: most >= 100 && most <= 4000 ? Math.round(most) : undefined });
					}}
				/></label
			>
		</div>
	{/if}
</Popover>
