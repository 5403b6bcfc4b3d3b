<script lang="ts">
	import { Dialog } from 'bits-ui';
	import type { FileOutcome, SheetOf } from '$lib/contracts.js';
	import { problemOf, sentenceOf } from '$lib/desk/request.js';
	import { counted } from '$lib/desk/words.js';

	/** Takes a CSV file of the sheet: first every change it would make, then, if that is wanted, the changes. */
	interface Props {
		open: boolean;
		of: SheetOf;
		ontaken: () => void;
	}
	let { open = $bindable(false), of, ontaken }: Props = $props();
	let file = $state.raw<File | null>(null);
	let outcome = $state.raw<FileOutcome | null>(null);
	let problem = $state('');
	let abort = $state.raw<AbortController | null>(null);

	async function send(dry: boolean) {
		if (!file) return;
		problem = '';
		const controller = (abort = new AbortController());
		try {
			const response = await fetch(`/api/v1/sheet/file?of=${of}&dry=${dry}`, {
				method: 'PUT',
				body: file,
				headers: { 'content-type': 'text/csv' },
				signal: controller.signal
			});
			if (!response.ok) throw await problemOf(response);
			outcome = (await response.json()) as FileOutcome;
			if (!dry) ontaken();
		} catch (error) {
			if (!controller.signal.aborted) problem = sentenceOf(error);
		} finally {
			abort = null;
		}
	}

	function choose(files: FileList | null) {
		file = files?.[0] ?? null;
		outcome = null;
		void send(true);
	}
	function close() {
		abort?.abort();
		open = false;
		file = outcome = null;
		problem = '';
	}
</script>

<Dialog.Root bind:open={() => open, (now) => now || close()}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-50 bg-black/30" />
		<Dialog.Content
			class="bg-base-100 rounded-box shadow-float fixed top-[8vh] left-1/2 z-50 max-h-[84vh] w-[min(44rem,94vw)] -translate-x-1/2 overflow-y-auto p-5"
		>
			<Dialog.Title class="text-[19px]">Take a CSV file</Dialog.Title>
			<Dialog.Description class="text-muted mt-1"
				>Columns <code>key</code> and <code>attribute.&lt;code&gt;</code>, as the sheet is handed out. An empty cell
				clears its value. Nothing changes before you have seen it.</Dialog.Description
			>
			<input
				type="file"
				accept=".csv,text/csv"
				class="file-input file-input-sm mt-4 w-full"
				onchange={(event) => choose(event.currentTarget.files)}
			/>
			{#if abort}<p class="mt-3 flex items-center gap-3">
					Reading … <button class="btn btn-xs" onclick={() => abort?.abort()}>Stop</button>
				</p>{/if}
			{#if problem}<p role="alert" class="text-error mt-3">{problem}</p>{/if}
			{#if outcome}
				<p class="mt-3" data-testid="file-outcome">
					<b>{counted(outcome.changed, 'cell')}</b>
					{outcome.dry ? (outcome.changed === 1 ? 'would change' : 'would change') : 'changed'}, {outcome.unchanged} stay
					as they are, {outcome.rejectedTotal} cannot be taken.
				</p>
				<div class="mt-2 max-h-[44vh] overflow-auto">
					<table class="w-full text-left text-[13px]">
						<tbody>
							{#each outcome.rejected as { line, column, reason }, i (i)}
								<tr class="text-error border-base-300/60 border-t"
									><td class="py-1 pr-3 font-mono">{line}</td><td class="pr-3"><code>{column}</code></td><td colspan="3"
										>{reason}</td
									></tr
								>
							{/each}
							{#each outcome.changes as { line, key, code, from, to }, i (i)}
								<tr class="border-base-300/60 border-t"
									><td class="py-1 pr-3 font-mono">{line}</td><td class="pr-3"><code>{key}</code></td><td class="pr-3"
										><code>{code}</code></td
									><td class="text-muted pr-3">{from || 'empty'}</td><td>→ <b>{to || 'empty'}</b></td></tr
								>
							{/each}
						</tbody>
					</table>
				</div>
			{/if}
			<div class="mt-4 flex gap-2">
				{#if outcome?.dry}<button
						class="btn btn-primary btn-sm"
						disabled={outcome.changed === 0 || abort !== null}
						onclick={() => send(false)}>Make these changes</button
					>{/if}
				<button class="btn btn-sm" onclick={close}>{outcome && !outcome.dry ? 'Done' : 'Cancel'}</button>
			</div>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
