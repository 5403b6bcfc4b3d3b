<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import Plus from '@lucide/svelte/icons/plus';
	import { hookById, PIECE_KINDS, type PieceKind } from '@anbau/core/pieces';
	import type { PieceView } from '$lib/contracts.js';
	import { copyOf, createPiece, documentOf, keepAsStarter } from '$lib/desk/newPiece.js';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { KIND_WORDS } from '$lib/desk/words.js';
	import BulkBar from '$lib/library/BulkBar.svelte';
	import LibraryRow from '$lib/library/LibraryRow.svelte';
	import NewPiece from '$lib/library/NewPiece.svelte';
	import { takenFrom } from '$lib/library/takenFrom.js';
	import LibraryFilters from '$lib/library/LibraryFilters.svelte';
	import { arrange, type LibraryView } from '$lib/library/arrange.js';

	let { data } = $props();
	let view = $state<LibraryView>({ text: '', kind: null, state: null, hook: null, product: null, sort: 'name' });
	let chosen = $state.raw<ReadonlySet<string>>(new Set());
	const rows = $derived(arrange(data.pieces, view, data.now));
	const hooks = $derived(
		[...new Set(data.pieces.flatMap((piece) => piece.placements.map((one) => one.hook)))].map((id) => ({
			id,
			title: hookById(id)?.title ?? id
		}))
	);

	async function attempt(work: () => Promise<void>) {
		try {
			await work();
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}

	let beginning = $state<PieceKind | null>(null);
	const duplicate = (piece: PieceView) => attempt(async () => goto(`/library/${await createPiece(copyOf(piece))}`));
	const keep = (piece: PieceView) =>
		attempt(async () => {
			await keepAsStarter(piece, documentOf(piece));
			toast(`“${piece.name}” is a starter now: a new ${KIND_WORDS[piece.kind].toLowerCase()} can begin with it.`);
		});
	const choose = (slug: string, isChosen: boolean) =>
		(chosen = new Set(isChosen ? [...chosen, slug] : [...chosen].filter((one) => one !== slug)));
	const chosenPieces = () => data.pieces.filter((piece) => chosen.has(piece.slug));
	const named = (pieces: PieceView[]) =>
		pieces.length === 1 ? `“${pieces[0]?.name}” is` : `${pieces.length} pieces are`;

	const turn = (pieces: PieceView[], on: boolean) =>
		attempt(async () => {
			for (const { slug } of pieces) await request(`/api/v1/pieces/${slug}`, { method: 'PATCH', body: { on } });
			await invalidateAll();
			const turned = pieces.filter((piece) => piece.on !== on);
			const undo = { label: 'Undo', onClick: () => void turn(turned, !on) };
			toast(on ? `${named(pieces)} on again.` : `${named(pieces)} off; shoppers no longer see it.`, { action: undo });
		});
	const remove = (pieces: PieceView[]) =>
		attempt(async () => {
			const taken = await takenFrom(pieces);
			for (const { slug } of pieces) await request(`/api/v1/pieces/${slug}`, { method: 'DELETE' });
			chosen = new Set();
			await invalidateAll();
			toast(`${named(pieces)} deleted.`, {
				description: taken.join('\n'),
				duration: 12_000,
				action: { label: 'Undo', onClick: () => void bringBack(pieces) }
			});
		});
	const bringBack = (pieces: PieceView[]) =>
		attempt(async () => {
			for (const piece of pieces) await request(`/api/v1/pieces/${piece.slug}`, { method: 'PUT', body: piece });
			await invalidateAll();
		});
</script>

<svelte:head><title>Library · Anbau</title></svelte:head>
<main class="mx-auto max-w-[1240px] px-3 py-4 sm:px-5">
	<div class="flex flex-wrap items-center gap-3">
		<h1 class="text-[23px]">Library</h1>
		<div class="ml-auto flex flex-wrap gap-2">
			{#each PIECE_KINDS as kind (kind)}
				<button class={['btn btn-sm h-9', kind === 'tab' && 'btn-primary']} onclick={() => (beginning = kind)}
					><Plus class="size-4" aria-hidden="true" />New {KIND_WORDS[kind].toLowerCase()}</button
				>
			{/each}
		</div>
	</div>
	{#if data.pieces.length === 0}
		<section class="bg-base-100 border-base-300 rounded-box mt-6 border p-10 text-center">
			<h2 class="text-[19px]">Your pieces will hang here</h2>
			<p class="text-muted mx-auto mt-2 max-w-lg">
				A piece is written once and shown on every product page it is meant for: a size chart as a tab, a freight notice
				above the buy button. Start with one; nothing is public before you publish it.
			</p>
			<button class="btn btn-primary mt-5" onclick={() => (beginning = 'message')}>Write your first message</button>
		</section>
	{:else}
		<LibraryFilters bind:view {hooks} />
		{#if chosen.size > 0}
			<BulkBar
				count={chosen.size}
				onturn={(on) => turn(chosenPieces(), on)}
				onremove={() => remove(chosenPieces())}
				onclear={() => (chosen = new Set())}
			/>
		{/if}
		<div class="bg-base-100 border-base-300 rounded-box mt-3 overflow-x-auto border">
			<table class="w-full border-collapse text-left">
				<thead class="text-muted border-base-300 border-b text-[13px]">
					<tr>
						<th class="w-10"><span class="sr-only">Chosen</span></th>
						<th class="px-3 py-2 font-medium">Piece</th>
						<th class="px-3 py-2 font-medium max-md:hidden">Hangs</th>
						<th class="px-3 py-2 font-medium max-sm:hidden">Reaches</th>
						<th class="px-3 py-2 font-medium max-sm:hidden">State</th>
						<th class="px-3 py-2 font-medium max-lg:hidden">Changed</th>
						<th class="px-3 py-2 text-right font-medium">On</th>
						<th class="w-10"><span class="sr-only">More</span></th>
					</tr>
				</thead>
				<tbody>
					{#each rows as piece (piece.slug)}
						<LibraryRow
							{piece}
							total={data.total}
							zone={data.store.zone}
							chosen={chosen.has(piece.slug)}
							onchoose={(isChosen) => choose(piece.slug, isChosen)}
							onturn={(one, on) => turn([one], on)}
							onduplicate={duplicate}
							onkeep={keep}
							onremove={(one) => remove([one])}
							onbringback={(one) => bringBack([one])}
						/>
					{:else}
						<tr><td colspan="8" class="text-muted px-4 py-8 text-center">No piece meets these filters.</td></tr>
					{/each}
				</tbody>
			</table>
		</div>
	{/if}
</main>
<NewPiece bind:kind={beginning} />
