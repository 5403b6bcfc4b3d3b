<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
	import X from '@lucide/svelte/icons/x';
	import type { Finding } from '@anbau/core/media';

	/** What was found in a file, in plain words, and what to do about it. */
	let { findings }: { findings: Finding[] } = $props();
</script>

<ul class="grid gap-0.5 text-[13px]">
	{#each findings as { level, text, advice } (text)}
		<li class="flex items-start gap-1.5">
			{#if level === 'good'}<Check class="text-primary mt-0.5 size-4 shrink-0" aria-label="good" />
			{:else if level === 'warning'}<TriangleAlert class="text-ochre mt-0.5 size-4 shrink-0" aria-label="warning" />
			{:else}<X class="text-error mt-0.5 size-4 shrink-0" aria-label="bad" />{/if}
			<span
				><b class="font-semibold">{text}</b>{#if advice}<span class="text-muted">. {advice}</span>{/if}</span
			>
		</li>
	{/each}
</ul>
