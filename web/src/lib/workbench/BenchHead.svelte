<script lang="ts">
	import Redo from '@lucide/svelte/icons/redo-2';
	import Undo from '@lucide/svelte/icons/undo-2';
	import { toast } from 'svelte-sonner';
	import type { Waiting } from '$lib/contracts.js';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { KIND_WORDS, counted, publicationWords } from '$lib/desk/words.js';
	import PlantLabel from '$lib/ui/PlantLabel.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** The head of the workbench: the piece's name and state, what is saved, and publishing this piece. */
	let { bench, zone }: { bench: Workbench; zone: string } = $props();
	let line = $state('');
	let busy = $state(false);
	const clock = $derived(
		bench.savedAt ? new Intl.DateTimeFormat('en-GB', { timeStyle: 'short', timeZone: zone }).format(bench.savedAt) : ''
	);
	const waits = $derived(bench.state.publication !== 'live' || bench.saveState !== 'saved');
	const saved = $derived(
		{
			saved: clock ? `saved ${clock}` : 'saved',
			pending: 'saving …',
			saving: 'saving …',
			failed: 'not saved',
			conflict: 'not saved'
		}[bench.saveState]
	);
	const stateLook = $derived(
		bench.state.publication === 'live' ? 'bg-moss-soft text-primary' : 'bg-ochre-soft text-ochre'
	);

	$effect(() => {
		if (bench.saveState !== 'saved' || bench.state.publication === 'live') {
			line = '';
			return;
		}
		void bench.piece;
		request<Waiting>(`/api/v1/impact?piece=${encodeURIComponent(bench.slug)}`).then(
			({ pages }) => (line = `changes ${counted(pages, 'page')}`),
			() => (line = '')
		);
	});

	async function publish() {
		busy = true;
		try {
			if (!(await bench.flush())) throw new Error('Not published: the draft could not be saved.');
			const { release, pages } = await request<{ release: number; pages: number }>('/api/v1/publish', {
				method: 'POST',
				body: { note: `“${bench.piece.name}”`, pieces: [bench.slug] }
			});
			await bench.refresh();
			toast.success(`Live as release ${release}: ${counted(pages, 'page')} changed.`);
		} catch (error) {
			toast.error(sentenceOf(error));
		} finally {
			busy = false;
		}
	}

	async function turn(on: boolean) {
		try {
			await bench.turn(on);
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
</script>

<div class="mb-4 flex flex-wrap items-center gap-x-3 gap-y-2">
	<PlantLabel kind={bench.piece.kind} text={KIND_WORDS[bench.piece.kind]} />
	<input
		class="font-display hover:border-base-300 focus:border-base-300 rounded-field field-sizing-content max-w-full min-w-32 border border-transparent bg-transparent px-1 text-[23px] font-semibold"
		aria-label="Library name"
		value={bench.piece.name}
		oninput={(event) => bench.set('name', { name: event.currentTarget.value })}
	/>
	<span class={['chip', stateLook]}
		>{bench.state.publication === 'draft'
			? 'draft, not public'
			: bench.state.publication === 'changed'
				? 'draft, differs from live'
				: publicationWords(bench.state)}</span
	>
	<span
		class={[
			'text-[13px]',
			bench.saveState === 'failed' || bench.saveState === 'conflict' ? 'text-error font-semibold' : 'text-muted'
		]}
		aria-live="polite"
		data-testid="saved">{saved}</span
	>
	<span class="flex">
		<button
			class="btn btn-ghost btn-sm btn-square h-8"
			aria-label="Undo"
			title="Undo (Ctrl Z)"
			disabled={!bench.canUndo}
			onclick={() => bench.undo()}><Undo class="size-4" /></button
		>
		<button
			class="btn btn-ghost btn-sm btn-square h-8"
			aria-label="Redo"
			title="Redo (Ctrl Shift Z)"
			disabled={!bench.canRedo}
			onclick={() => bench.redo()}><Redo class="size-4" /></button
		>
	</span>
	<span class="ml-auto flex items-center gap-2.5">
		<label class="flex cursor-pointer items-center gap-1.5 text-[13px]"
			><input
				type="checkbox"
				class="toggle toggle-sm toggle-primary"
				checked={bench.on}
				onchange={(event) => void turn(event.currentTarget.checked)}
			/>{bench.on ? 'on' : 'off'}</label
		>
		{#if waits}
			<span class="text-muted text-[13px] whitespace-nowrap">{line}</span>
			<button
				class="btn btn-secondary btn-sm h-8 whitespace-nowrap"
				disabled={busy || bench.saveState === 'conflict'}
				onclick={publish}>Publish this piece</button
			>
		{/if}
	</span>
</div>
{#if bench.saveState === 'failed'}
	<div role="alert" class="bg-terracotta-soft rounded-box mb-3 px-4 py-2.5">
		<b>Not saved.</b>
		{bench.problem}
		{#each bench.faults.slice(1) as fault (fault.at)}<br /><code>{fault.at}</code> {fault.message}{/each}
		<button class="btn btn-sm ml-2 h-7" onclick={() => bench.flush()}>Try again</button>
	</div>
{:else if bench.saveState === 'conflict' && bench.theirs}
	<div role="alert" class="bg-terracotta-soft rounded-box mb-3 flex flex-wrap items-center gap-2 px-4 py-2.5">
		<span class="min-w-60 flex-1"
			><b>{bench.theirs.updatedBy} changed this piece in the meantime.</b> Nothing is lost: the version you do not keep stays
			in the history.</span
		>
		<button class="btn btn-sm" onclick={() => bench.keepMine()}>Keep mine</button>
		<button class="btn btn-sm" onclick={() => bench.takeTheirs()}>Take theirs</button>
	</div>
{/if}
