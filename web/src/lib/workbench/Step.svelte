<script lang="ts">
	import type { Snippet } from 'svelte';
	import Peg from '$lib/ui/Peg.svelte';

	/** A step on the workbench's rail. */
	let {
		number,
		title,
		last = false,
		children
	}: { number: number; title: string; last?: boolean; children: Snippet } = $props();
</script>

<section class="relative flex gap-3 pb-5" aria-labelledby={`step-${number}`}>
	{#if !last}<span class="bg-base-300 absolute top-5 bottom-0 left-[9px] w-0.5" aria-hidden="true"></span>{/if}
	<Peg {number} />
	<div class="min-w-0 flex-1">
		<h2 id={`step-${number}`} class="text-muted mb-1.5 text-[14px]">{title}</h2>
		{@render children()}
	</div>
</section>
