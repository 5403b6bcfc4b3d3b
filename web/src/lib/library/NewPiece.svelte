<script lang="ts">
	import { goto } from '$app/navigation';
	import { Dialog } from 'bits-ui';
	import X from '@lucide/svelte/icons/x';
	import { toast } from 'svelte-sonner';
	import { PIECE_KINDS, type PieceKind, type Placement } from '@anbau/core/pieces';
	import type { Starter } from '$lib/contracts.js';
	import { blankPiece, createPiece } from '$lib/desk/newPiece.js';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { KIND_WORDS } from '$lib/desk/words.js';
	import PlantLabel from '$lib/ui/PlantLabel.svelte';
	import { READY_MADE } from './starters.js';

	/** Begins a new piece of a kind: an empty one, a ready-made one, or one that the owner kept as a starter. */
	interface Props {
		kind: PieceKind | null;
		/** Where the piece hangs from the start. */
		placement?: () => Placement;
	}
	let { kind = $bindable(null), placement }: Props = $props();
	let own = $state.raw<Starter[]>([]);
	let busy = $state(false);

	$effect(() => {
		if (kind === null) return;
		request<Starter[]>('/api/v1/starters').then(
			(found) => (own = found),
			(error: unknown) => toast.error(sentenceOf(error))
		);
	});

	async function begin(document: Parameters<typeof createPiece>[0]) {
		busy = true;
		try {
			const slug = await createPiece(placement ? { ...document, placements: [placement()] } : document);
			kind = null;
			await goto(`/library/${slug}`);
		} catch (error) {
			toast.error(sentenceOf(error));
		} finally {
			busy = false;
		}
	}

	async function forget(starter: Starter) {
		own = own.filter((one) => one !== starter);
		const path = `/api/v1/starters/${starter.slug}`;
		const bringBack = async () => {
			await request(path, { method: 'PUT', body: starter.doc });
			own = [...own, starter];
		};
		try {
			await request(path, { method: 'DELETE' });
			toast(`The starter “${starter.doc.name}” is gone.`, {
				action: { label: 'Undo', onClick: () => void bringBack() }
			});
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
	const card = 'border-base-300 rounded-box hover:border-primary w-full border p-3 text-left';
</script>

<Dialog.Root bind:open={() => kind !== null, (open) => (kind = open ? kind : null)}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-50 bg-black/30" />
		<Dialog.Content
			class="bg-base-100 rounded-box shadow-float fixed top-[8vh] left-1/2 z-50 max-h-[84vh] w-[min(46rem,94vw)] -translate-x-1/2 overflow-y-auto p-5"
		>
			{#if kind}
				<div class="flex items-center gap-3">
					<Dialog.Title class="text-[19px]">New {KIND_WORDS[kind].toLowerCase()}</Dialog.Title>
					<div class="flex gap-1" role="group" aria-label="Kind">
						{#each PIECE_KINDS as one (one)}
							<button
								type="button"
								class={['btn btn-sm', one === kind && 'bg-moss-soft text-primary']}
								aria-pressed={one === kind}
								onclick={() => (kind = one)}>{KIND_WORDS[one]}</button
							>
						{/each}
					</div>
					<Dialog.Close class="btn btn-ghost btn-sm btn-square ml-auto" aria-label="Close"
						><X class="size-4" /></Dialog.Close
					>
				</div>
				<Dialog.Description class="text-muted mt-1"
					>Begin empty, or with something ready to change. Nothing is public before you publish it.</Dialog.Description
				>
				<div class="mt-4 grid gap-2.5 sm:grid-cols-2">
					<button
						type="button"
						class={[card, 'border-dashed']}
						disabled={busy}
						onclick={() => begin(blankPiece(kind ?? 'tab'))}
						><b>Empty</b><span class="text-muted block">nothing in it yet</span></button
					>
					{#each READY_MADE.filter((one) => one.kind === kind) as starter (starter.name)}
						<button
							type="button"
							class={card}
							disabled={busy}
							onclick={() => begin({ kind: starter.kind, name: starter.name, ...starter.document })}
							><b>{starter.name}</b><span class="text-muted block">{starter.words}</span></button
						>
					{/each}
				</div>
				{#if own.some((one) => one.doc.kind === kind)}
					<h3 class="mt-5 text-[15px]">Your own starters</h3>
					<ul class="mt-2 grid gap-1.5">
						{#each own.filter((one) => one.doc.kind === kind) as starter (starter.slug)}
							<li class="flex items-center gap-2">
								<button type="button" class="max-w-full" disabled={busy} onclick={() => begin(starter.doc)}
									><PlantLabel kind={starter.doc.kind} text={starter.doc.name} /></button
								>
								<button
									type="button"
									class="btn btn-ghost btn-xs"
									aria-label={`Forget ${starter.doc.name}`}
									onclick={() => forget(starter)}>Forget</button
								>
							</li>
						{/each}
					</ul>
				{/if}
			{/if}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
