<script lang="ts">
	import { lackingColumns, REVIEW_COLUMNS, type ReviewColumn } from '@anbau/core/reviews';
	import { counted } from '$lib/desk/words.js';
	import Sheet from '$lib/ui/Sheet.svelte';
	import { ReviewFileImport } from './reviewImport.svelte.js';
	import Stars from './Stars.svelte';

	/** Imports a file of reviews: its columns matched, what it would do shown, then taken. */
	let { onclose, ondone }: { onclose: () => void; ondone: () => void } = $props();
	const work = new ReviewFileImport();
	const lacking = $derived(work.header.length > 0 ? lackingColumns(work.match) : []);

	function rematch(i: number, column: string) {
		const chosen = (column || null) as ReviewColumn | null;
		// Each of ours is taken once.
		const match = work.match.map((one, at) => (at === i ? chosen : one === chosen ? null : one));
		if (lackingColumns(match).length === 0) void work.attempt(match);
		else work.match = match;
	}
</script>

<Sheet title="Import reviews" {onclose}>
	{#if work.problem}<p class="bg-terracotta-soft rounded-box mb-3 px-4 py-2.5" role="alert">{work.problem}</p>{/if}
	{#if work.step === 'choose'}
		<p class="text-muted">
			A CSV file in UTF-8 or NDJSON, as another program gave it. Its columns are matched next; nothing changes before
			you have seen what it would do. A review that says no state is shown at once.
		</p>
		<label
			class="rounded-box border-base-300 mt-3 grid cursor-pointer place-items-center border-2 border-dashed p-8"
			ondragover={(event) => event.preventDefault()}
			ondrop={(event) => {
				event.preventDefault();
				const file = event.dataTransfer?.files[0];
				if (file) void work.choose(file);
			}}
			><input
				type="file"
				class="sr-only"
				accept=".csv,.tsv,.txt,.ndjson,.jsonl,text/csv"
				onchange={(event) => {
					const file = event.currentTarget.files?.[0];
					if (file) void work.choose(file);
				}}
			/><b>Choose a file</b><span class="text-muted">or drop it here</span></label
		>
		<p class="text-muted mt-3 font-mono text-[13px]">{REVIEW_COLUMNS.join(', ')}</p>
	{:else if work.step === 'trying' || work.step === 'taking'}
		<p aria-live="polite">{work.step === 'trying' ? 'Reading the file' : `Taking reviews … ${work.rows}`}</p>
		<progress class="progress progress-primary mt-2 w-full"></progress>
	{:else}
		{#if work.step === 'match' && work.header.length > 0}
			<h3 class="text-[15px]">Which column is which</h3>
			<div class="mt-1.5 grid gap-x-6 gap-y-1 sm:grid-cols-2">
				{#each work.header as name, i (i)}
					<label class="flex items-center gap-2"
						><span class="w-40 truncate font-mono text-[13px]" title={name}>{name || `column ${i + 1}`}</span><select
							class="select select-sm h-8 w-40"
							value={work.match[i] ?? ''}
							onchange={(event) => rematch(i, event.currentTarget.value)}
							><option value="">is left out</option>{#each REVIEW_COLUMNS as column (column)}<option value={column}
									>{column}</option
								>{/each}</select
						></label
					>
				{/each}
			</div>
		{/if}
		{#if lacking.length > 0}<p class="text-secondary mt-2 font-semibold">
				Still without a column: {lacking.join(', ')}
			</p>
		{:else if work.outcome}
			{@const { inserted, updated, unchanged, rejected, rejectedTotal, sample } = work.outcome}
			<p class="mt-3" aria-live="polite">
				<b>{work.step === 'done' ? 'Done:' : 'It would bring'}</b>
				{inserted} new, {updated} changed, {unchanged} as they are{rejectedTotal > 0
					? `; ${counted(rejectedTotal, 'fault')}, in rows that are left out`
					: ''}.
			</p>
			{#if work.step === 'match'}
				<ul class="border-base-300 rounded-box mt-2 border text-[13px]">
					{#each sample as review (review.id)}
						<li class="border-base-300 flex items-center gap-2 border-b px-2 py-1 last:border-0">
							<Stars rating={review.rating} /><b class="max-w-48 truncate">{review.title}</b><span
								class="min-w-0 flex-1 truncate">{review.text}</span
							><span class="text-muted">{review.author}, {review.date.slice(0, 10)}, {review.product}</span>
						</li>
					{/each}
				</ul>
			{/if}
			{#if rejected.length > 0}
				<div class="mt-3 max-h-56 overflow-y-auto">
					<table class="table-sm table">
						<thead><tr><th>Line</th><th>Column</th><th>What is wrong</th></tr></thead>
						<tbody>
							{#each rejected as fault, i (i)}<tr
									><td class="font-mono">{fault.line}</td><td class="font-mono">{fault.column}</td><td
										>{fault.reason}</td
									></tr
								>{/each}
						</tbody>
					</table>
				</div>
			{/if}
		{/if}
	{/if}
	{#snippet actions()}
		<button type="button" class="btn btn-sm" onclick={onclose}>{work.step === 'done' ? 'Close' : 'Not now'}</button>
		{#if work.step === 'taking'}<button type="button" class="btn btn-sm ml-auto" onclick={() => void work.cancel()}
				>Cancel the import</button
			>{:else if work.step === 'match'}<button
				type="button"
				class="btn btn-primary btn-sm ml-auto"
				disabled={lacking.length > 0 || !work.outcome || work.outcome.inserted + work.outcome.updated === 0}
				onclick={async () => {
					if (await work.take()) ondone();
				}}>Import</button
			>{/if}
	{/snippet}
</Sheet>
