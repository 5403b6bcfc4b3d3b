<script lang="ts">
	import { Dialog } from 'bits-ui';
	import { CATALOG_COLUMNS } from '@anbau/core/catalog';
	import { FileImport } from './importFile.svelte.js';
	import ImportOutcome from './ImportOutcome.svelte';

	/** Imports a catalogue file, shows how far it is, and lists every row that could not be read. */
	let { open = $bindable(), onimported }: { open: boolean; onimported: () => void } = $props();
	const work = new FileImport();
	let file = $state<File | null>(null);
	let replace = $state(false);
	let over = $state(false);
	const number = new Intl.NumberFormat('en');

	async function send() {
		if (!file) return;
		await work.send(file, replace);
		if (work.state.step === 'done') onimported();
	}
	function again() {
		file = null;
		work.state = { step: 'choose' };
	}
</script>

<Dialog.Root bind:open onOpenChange={(now) => now && work.state.step !== 'running' && again()}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-50 bg-black/40" />
		<Dialog.Content
			class="bg-base-100 rounded-box shadow-float fixed top-[8vh] left-1/2 z-50 max-h-[84vh] w-[min(40rem,94vw)] -translate-x-1/2 overflow-y-auto p-5"
			interactOutsideBehavior={work.state.step === 'running' ? 'ignore' : 'close'}
			escapeKeydownBehavior={work.state.step === 'running' ? 'ignore' : 'close'}
		>
			<Dialog.Title class="font-display text-[19px] font-semibold">Import a catalogue</Dialog.Title>
			{#if work.state.step === 'choose'}
				<Dialog.Description class="text-muted mt-1">
					A CSV file in UTF-8, separated by comma, semicolon or tab, or NDJSON. The first line names the columns; a
					product that is there already is changed by its key, columns that are absent are kept.
				</Dialog.Description>
				<label
					class={[
						'rounded-box mt-4 grid cursor-pointer place-items-center border-2 border-dashed p-8 text-center',
						over ? 'border-primary bg-moss-soft' : 'border-base-300'
					]}
					ondragover={(event) => (event.preventDefault(), (over = true))}
					ondragleave={() => (over = false)}
					ondrop={(event) => (event.preventDefault(), (over = false), (file = event.dataTransfer?.files[0] ?? null))}
				>
					<input
						type="file"
						class="sr-only"
						accept=".csv,.tsv,.txt,.ndjson,.jsonl,text/csv"
						onchange={(event) => (file = event.currentTarget.files?.[0] ?? null)}
					/>
					{#if file}<b>{file.name}</b><span class="text-muted"
							>{number.format(Math.max(1, Math.round(file.size / 1024)))} KB</span
						>{:else}<b>Choose a file</b><span class="text-muted">or drop it here</span>{/if}
				</label>
				<label class="mt-3 flex cursor-pointer items-start gap-2"
					><input type="checkbox" class="checkbox checkbox-sm checkbox-primary mt-0.5" bind:checked={replace} /><span
						>Remove products that the file does not name <span class="text-muted"
							>(not done when a row cannot be read)</span
						></span
					></label
				>
				<details class="text-muted mt-3 text-[13px]">
					<summary class="cursor-pointer">The columns</summary>
					<p class="mt-1 font-mono leading-6">{CATALOG_COLUMNS.join(', ')}, attribute.…</p>
					<p class="mt-1">
						Prices as 1149.00 or 1.149,00. Several tags, pictures or categories are separated by |, a category is its
						path: Seeds &gt; Vegetables. An empty cell clears the value.
					</p>
				</details>
				<div class="mt-5 flex justify-end gap-2">
					<Dialog.Close class="btn">Not now</Dialog.Close>
					<button class="btn btn-primary" disabled={!file} onclick={send}>Import</button>
				</div>
			{:else if work.state.step === 'running'}
				<p class="mt-4" aria-live="polite">
					{work.state.share !== null && work.state.share < 1 ? 'Reading' : 'Writing'} … {number.format(work.state.rows)} rows
				</p>
				<progress class="progress progress-primary mt-2 w-full" max="1" value={work.state.share ?? undefined}
				></progress>
				<div class="mt-5 flex justify-end">
					<button class="btn" onclick={() => work.cancel()}>Cancel the import</button>
				</div>
			{:else if work.state.step === 'failed'}
				<p class="bg-terracotta-soft rounded-box mt-4 px-4 py-3" role="alert">{work.state.problem}</p>
				<div class="mt-5 flex justify-end gap-2">
					<Dialog.Close class="btn">Close</Dialog.Close><button class="btn btn-primary" onclick={again}
						>Choose another file</button
					>
				</div>
			{:else}
				<ImportOutcome result={work.state.result} />
				<div class="mt-5 flex justify-end gap-2">
					<button class="btn" onclick={again}>Import another</button><Dialog.Close class="btn btn-primary"
						>Done</Dialog.Close
					>
				</div>
			{/if}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
