<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import type { Leaf, Names } from '@anbau/core/rules';
	import Popover from '$lib/ui/Popover.svelte';
	import { chipLook, chipText } from './chips.js';
	import LeafEditor from './LeafEditor.svelte';

	/** One condition of the sentence: opened it is changed, its cross takes it out. */
	interface Props {
		leaf: Leaf;
		names: Names;
		gone: boolean;
		onchange: (leaf: Leaf) => void;
		onremove: () => void;
	}
	let { leaf, names, gone, onchange, onremove }: Props = $props();
	const text = $derived(chipText(leaf, names));
</script>

<span
	class={['chip mr-1 max-w-full align-middle', chipLook(leaf), gone && 'outline-secondary outline-2 outline-dashed']}
>
	<Popover label={`Change: ${text}`} triggerClass="max-w-80 cursor-pointer truncate rounded-sm hover:underline">
		{#snippet trigger()}{text}{/snippet}
		{#snippet children(close)}<LeafEditor {leaf} {names} {onchange} {close} />{/snippet}
	</Popover>
	{#if gone}<span class="text-secondary text-[12px] font-semibold">gone</span>{/if}
	<button
		type="button"
		class="-mr-1 cursor-pointer rounded-sm p-0.5 opacity-60 hover:opacity-100"
		aria-label={`Take out ${text}`}
		onclick={onremove}><X class="size-3.5" /></button
	>
</span>
