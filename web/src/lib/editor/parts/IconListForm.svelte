<script lang="ts">
	import IconPicker from '$lib/ui/IconPicker.svelte';
	import { partWithin, setAttributes } from '../partCommands.js';
	import type { PartForm } from './partForm.js';

	/** How an icon list stands, and the icon of the item that the cursor is in. */
	let { editor, part, set }: PartForm = $props();
	const attrs = $derived(part.node.attrs as { direction: 'column' | 'row'; size: number; colour: string | null });
	const item = $derived.by(() => {
		void part;
		return partWithin(editor.state, ['iconItem']);
	});
</script>

<div class="flex flex-wrap items-center gap-3">
	{#if item}
		<span class="flex items-center gap-1.5"
			>Icon of this item <IconPicker
				icon={item.node.attrs.icon as string | null}
				onchange={(icon) => setAttributes(editor, item, { icon })}
			/></span
		>
	{/if}
	<label class="flex items-center gap-1.5"
		>Stands<select
			class="select select-sm h-8 w-auto"
			value={attrs.direction}
			onchange={(event) => set({ direction: event.currentTarget.value })}
		>
			<option value="column">in a column</option>
			<option value="row">in a row</option>
		</select></label
	>
	<label class="flex items-center gap-1.5"
		>Size<input
			type="number"
			min="12"
			max="96"
			class="input input-sm h-8 w-20"
			value={attrs.size}
			oninput={(event) => {
				const size = event.currentTarget.valueAsNumber;
				if (size >= 12 && size <= 96) set({ size: Math.floor(size) });
			}}
		/></label
	>
	<label class="flex items-center gap-1.5"
		>Colour<input
			type="color"
			class="h-8 w-10 cursor-pointer"
			value={attrs.colour ?? '#2c5b43'}
			oninput={(event) => set({ colour: event.currentTarget.value })}
		/></label
	>
	{#if attrs.colour}<button type="button" class="btn btn-ghost btn-xs" onclick={() => set({ colour: null })}
			>The theme’s colour</button
		>{/if}
</div>
