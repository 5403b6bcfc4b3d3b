<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import Trash from '@lucide/svelte/icons/trash-2';
	import { textFault, type Panel } from '@anbau/core/pieces';
	import IconPicker from '$lib/ui/IconPicker.svelte';

	/** A panel's label and icon, and its place among the others. */
	interface Props {
		panel: Panel;
		/** The icon that is shown: its own, or the piece's. */
		icon: string | null;
		word: string;
		index: number;
		count: number;
		onchange: (place: string, change: { heading?: string; icon?: string | null }) => void;
		onmove: (by: -1 | 1) => void;
		onremove: () => void;
		/** Puts something above the panel; null where nothing can stand there. */
		onabove: (() => void) | null;
	}
	let { panel, icon, word, index, count, onchange, onmove, onremove, onabove }: Props = $props();
	const fault = $derived(textFault(panel.heading));
</script>

<div class="mb-1.5 flex flex-wrap items-center gap-2">
	<input
		class="input input-sm h-8 w-56 font-semibold"
		placeholder={`The ${word}’s label`}
		aria-label={`Label of ${word} ${index + 1}`}
		aria-invalid={fault !== null}
		value={panel.heading}
		oninput={(event) => onchange('heading', { heading: event.currentTarget.value })}
	/>
	<IconPicker {icon} onchange={(chosen) => onchange('icon', { icon: chosen })} />
	{#if onabove}<button type="button" class="btn btn-ghost btn-sm h-8" onclick={onabove}>Something above it</button>{/if}
	{#if count > 1}
		<span class="ml-auto flex">
			<button
				type="button"
				class="btn btn-ghost btn-sm btn-square"
				aria-label="Move up"
				disabled={index === 0}
				onclick={() => onmove(-1)}><ArrowUp class="size-4" /></button
			>
			<button
				type="button"
				class="btn btn-ghost btn-sm btn-square"
				aria-label="Move down"
				disabled={index === count - 1}
				onclick={() => onmove(1)}><ArrowDown class="size-4" /></button
			>
			<button
				type="button"
				class="btn btn-ghost btn-sm btn-square"
				aria-label={`Remove ${panel.heading}`}
				onclick={onremove}><Trash class="size-4" /></button
			>
		</span>
	{/if}
</div>
{#if fault}<p class="text-error mb-1 text-[13px]">The label {fault}.</p>{/if}
