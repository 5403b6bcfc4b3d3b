<script lang="ts">
	import { contrastFaults, srcFault, type Style } from '@anbau/core/pieces';

	/** The few things of a look that can be set; whatever is hard to read is said. */
	let { style, onchange }: { style: Style; onchange: (style: Style) => void } = $props();
	const faults = $derived(contrastFaults(style));
	const colours = [
		['text', 'Text', '#1d2a22'],
		['background', 'Ground', '#ffffff'],
		['accent', 'Accent', '#2c5b43'],
		['border', 'Border', '#ddd6c4']
	] as const;
	const sizes = [
		['borderWidth', 'Border', 12],
		['radius', 'Corners', 60],
		['padding', 'Padding', 120],
		['iconSize', 'Icons', 96]
	] as const;
	const pictureFault = $derived(style.picture ? srcFault(style.picture) : null);
	const set = (change: Style) => onchange({ ...style, ...change });
</script>

<div class="grid grid-cols-[auto_1fr] items-center gap-x-3 gap-y-2 text-[13px]">
	{#each colours as [name, label, first] (name)}
		<label for={`style-${name}`}>{label}</label>
		<span class="flex items-center gap-2">
			{#if style[name]}
				<input
					id={`style-${name}`}
					type="color"
					class="h-7 w-10 cursor-pointer"
					value={style[name]}
					oninput={(event) => set({ [name]: event.currentTarget.value })}
				/>
				<code>{style[name]}</code>
				<button type="button" class="btn btn-ghost btn-xs" onclick={() => set({ [name]: null })}>Not set</button>
			{:else}
				<button id={`style-${name}`} type="button" class="btn btn-xs" onclick={() => set({ [name]: first })}
					>Set a colour</button
				>
			{/if}
		</span>
	{/each}
	{#each sizes as [name, label, most] (name)}
		<label for={`style-${name}`}>{label}</label>
		<span class="flex items-center gap-1.5"
			><input
				id={`style-${name}`}
				type="number"
				min="0"
				max={most}
				class="input input-sm h-7 w-20"
				placeholder="—"
				value={style[name] ?? ''}
				oninput={(event) => {
					const value = event.currentTarget.valueAsNumber;
					if (Number.isNaN(value)) set({ [name]: null });
					else if (value >= 0 && value <= most) set({ [name]: Math.floor(value) });
				}}
			/>px</span
		>
	{/each}
	<label for="style-picture">Picture</label>
	<input
		id="style-picture"
		class="input input-sm h-7 w-full"
		placeholder="address of a background picture"
		value={style.picture ?? ''}
		aria-invalid={pictureFault !== null}
		oninput={(event) => set({ picture: event.currentTarget.value || null })}
	/>
</div>
{#if pictureFault}<p class="text-error mt-2 text-[13px]">The picture’s address {pictureFault}.</p>{/if}
{#each faults as fault (fault)}<p role="status" class="text-error mt-2 text-[13px]">{fault}.</p>{/each}
