<script lang="ts">
	import { attributeText, type Conversion } from '@anbau/core/catalog';
	import { counted } from '$lib/desk/words.js';

	/** What becomes of the values that are there: those that change, and those that cannot be converted. */
	let { plan }: { plan: Conversion } = $props();
	const SHOWN = 50;
</script>

<section class="bg-terracotta-soft rounded-box mt-4 p-3 text-[13px]" aria-label="What becomes of the values">
	{#if plan.changed.length > 0}
		<p class="font-semibold">{counted(plan.changed.length, 'value')} will be converted</p>
		<ul class="mt-1 max-h-32 overflow-y-auto">
			{#each plan.changed.slice(0, SHOWN) as { key, from, to } (key)}
				<li><code>{key}</code> {attributeText(from)} → <b>{attributeText(to)}</b></li>
			{/each}
		</ul>
	{/if}
	{#if plan.lost.length > 0}
		<p class="text-error mt-2 font-semibold">
			{counted(plan.lost.length, 'value')} cannot be converted and would be cleared
		</p>
		<ul class="mt-1 max-h-40 overflow-y-auto">
			{#each plan.lost.slice(0, SHOWN) as { key, reason } (key)}<li><code>{key}</code> {reason}</li>{/each}
		</ul>
	{/if}
	<p class="text-muted mt-2">
		Nothing has changed yet. {plan.kept > 0 ? `${counted(plan.kept, 'value')} stay as they are.` : ''}
	</p>
</section>
