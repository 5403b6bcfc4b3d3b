<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import Minus from '@lucide/svelte/icons/minus';
	import X from '@lucide/svelte/icons/x';
	import type { Explanation } from '@anbau/core/placement';

	/** Why the piece shows on the page looked at, or does not: every reason, what would change it, and near misses. */
	let { explanation }: { explanation: Explanation } = $props();
	const { shown, reasons, flip, nearMisses } = $derived(explanation);
	const flips = $derived(new Set(flip));
</script>

<section class="bg-base-100 border-base-300 rounded-box border px-4 py-3">
	<h2 class="mb-1.5 text-[15px]">{shown ? 'Why it shows here' : 'Why it does not show here'}</h2>
	<ul class="flex flex-wrap gap-x-4 gap-y-1">
		{#each reasons as reason, i (i)}
			{@const decides = flips.has(reason.at)}
			<li
				class={[
					'flex items-center gap-1',
					!reason.ok && !decides && reason.kind === 'rule' ? 'text-muted' : '',
					!reason.ok && (decides || reason.kind !== 'rule') ? 'text-secondary font-semibold' : ''
				]}
			>
				{#if reason.ok}<Check
						class="text-primary size-4 shrink-0"
						aria-label="yes"
					/>{:else if decides || reason.kind !== 'rule'}<X class="size-4 shrink-0" aria-label="no" />{:else}<Minus
						class="size-4 shrink-0"
						aria-label="not needed"
					/>{/if}
				{reason.text}
			</li>
		{/each}
	</ul>
	{#each nearMisses as miss (miss.at + miss.found)}<p class="text-secondary mt-1.5 font-semibold">
			This product’s tag {miss.text}.
		</p>{/each}
</section>
