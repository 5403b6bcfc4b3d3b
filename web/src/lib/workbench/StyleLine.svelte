<script lang="ts">
	import Palette from '@lucide/svelte/icons/palette';
	import Popover from '$lib/ui/Popover.svelte';
	import StyleForm from '$lib/ui/StyleForm.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** A piece's own look; what it does not set is the store's, and what that does not set is the theme's. */
	let { bench }: { bench: Workbench } = $props();
	const set = $derived(
		Object.values(bench.piece.style).filter((value) => value !== null && value !== undefined).length
	);
</script>

<Popover label="Look of this piece" triggerClass="btn btn-sm h-8" contentClass="w-[22rem]">
	{#snippet trigger()}<Palette class="size-4" />{set === 0 ? 'Looks like the theme' : 'Own look'}{/snippet}
	<StyleForm style={bench.piece.style} onchange={(style) => bench.set('style', { style })} />
</Popover>
