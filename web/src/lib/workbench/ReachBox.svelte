<script lang="ts">
	import { counted } from '$lib/desk/words.js';
	import type { ReachSummary } from '$lib/reach/protocol.js';
	import ReachBar from '$lib/ui/ReachBar.svelte';

	/** The evidence beside the sentence: how many products it reaches, where they are, and what looks meant or is gone. */
	let { summary }: { summary: ReachSummary } = $props();
	const shown = $derived(summary.byCategory.slice(0, 4));
	const rest = $derived(summary.byCategory.length - shown.length);
</script>

<div class="bg-base-100 border-base-300 rounded-box flex items-center gap-5 border px-4 py-3" aria-live="polite">
	<div class="whitespace-nowrap">
		<span class="font-display text-[30px] leading-none font-bold" data-testid="reach">{summary.matched}</span>
		<span class="text-muted">of {summary.total}</span>
	</div>
	<div class="min-w-0 flex-1">
		<ReachBar matched={summary.matched} total={summary.total} tall />
		<p class="mt-1.5 text-[13px]">
			{#if summary.matched === 0}<span class="text-secondary font-semibold">Reaches nothing.</span>{/if}
			<span class="text-muted"
				>{shown.map(({ title, matched }) => `${title} ${matched}`).join(' · ')}{rest > 0 ? ` · ${rest} more` : ''}</span
			>
			{#each summary.meant.slice(0, 3) as meant (meant.at + meant.found)}
				<span class="text-secondary font-semibold">
					· {counted(meant.products, 'product')} tagged “{meant.found}” {meant.products === 1 ? 'looks' : 'look'} meant</span
				>
			{/each}
			{#each summary.gone as gone (gone.at + gone.name)}
				<span class="text-secondary font-semibold"> · no {gone.kind} “{gone.name}” in the catalogue</span>
			{/each}
		</p>
	</div>
</div>
