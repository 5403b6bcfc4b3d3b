<script lang="ts">
	import type { ImportResult } from '$lib/contracts.js';
	import { counted } from '$lib/desk/words.js';

	/** What an import did, and each row that it could not take. */
	let { result }: { result: ImportResult } = $props();
	const counts = $derived([
		['new', result.inserted],
		['changed', result.updated],
		['as before', result.unchanged],
		['removed', result.removed]
	] as const);
</script>

<dl class="mt-4 flex flex-wrap gap-6" data-testid="import-counts">
	{#each counts as [word, count] (word)}
		<div>
			<dd class="font-display text-[23px] leading-none font-bold">{count}</dd>
			<dt class="text-muted mt-1">{word}</dt>
		</div>
	{/each}
</dl>
{#if result.rejectedTotal > 0}
	<p class="text-secondary mt-4 font-semibold">
		{counted(result.rejectedTotal, 'fault')} in the file. These rows were left out, all others went in.
	</p>
	<div class="border-base-300 rounded-box mt-2 max-h-64 overflow-y-auto border">
		<table class="w-full text-left text-[13px]">
			<thead class="text-muted bg-base-100 sticky top-0"
				><tr
					><th class="px-3 py-1.5 font-medium">Line</th><th class="px-3 py-1.5 font-medium">Column</th><th
						class="px-3 py-1.5 font-medium">What is wrong</th
					></tr
				></thead
			>
			<tbody>
				{#each result.rejected as fault, i (i)}
					<tr class="border-base-300/60 border-t"
						><td class="px-3 py-1 font-mono">{fault.line}</td><td class="px-3 py-1 font-mono"
							>{fault.column || 'whole row'}</td
						><td class="px-3 py-1">{fault.reason}</td></tr
					>
				{/each}
			</tbody>
		</table>
	</div>
	{#if result.rejectedTotal > result.rejected.length}<p class="text-muted mt-1 text-[13px]">
			The first {result.rejected.length} are listed.
		</p>{/if}
{/if}
