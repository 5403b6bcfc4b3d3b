<script lang="ts">
	import { Dialog } from 'bits-ui';
	import { toast } from 'svelte-sonner';
	import type { Category } from '@anbau/core/catalog';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import ConversionList from './ConversionList.svelte';
	import DefinitionFields from './DefinitionFields.svelte';
	import type { DefinitionDraft } from './definition.svelte.js';

	/** Defines an attribute or changes its definition; what that does to values is shown before anything changes. */
	interface Props {
		draft: DefinitionDraft | null;
		categories: readonly Category[];
		onclose: () => void;
		onsaved: () => void;
	}
	let { draft, categories, onclose, onsaved }: Props = $props();

	async function save() {
		if (await draft?.save()) onsaved();
	}

	async function remove() {
		if (!draft) return;
		const { code, ...definition } = draft.value;
		const path = `/api/v1/attributes/${encodeURIComponent(code)}`;
		try {
			await request(path, { method: 'DELETE' });
			const bringBack = () => request(path, { method: 'PUT', body: definition }).then(onsaved);
			toast(`“${definition.label}” is no longer defined; its values stay in the catalogue.`, {
				action: { label: 'Undo', onClick: () => void bringBack() }
			});
			onsaved();
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
</script>

<Dialog.Root bind:open={() => draft !== null, (open) => open || onclose()}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-50 bg-black/30" />
		<Dialog.Content
			class="bg-base-100 rounded-box shadow-float fixed top-[6vh] left-1/2 z-50 max-h-[88vh] w-[min(34rem,94vw)] -translate-x-1/2 overflow-y-auto p-5"
		>
			{#if draft}
				<Dialog.Title class="text-[19px]">{draft.isNew ? 'New attribute' : draft.value.label}</Dialog.Title>
				<form
					class="mt-3"
					onsubmit={(event) => {
						event.preventDefault();
						void save();
					}}
				>
					<DefinitionFields {draft} {categories} />
					{#if draft.plan}<ConversionList plan={draft.plan} />{/if}
					{#if draft.problem}<p role="alert" class="text-error mt-3">{draft.problem}</p>{/if}
					<div class="mt-4 flex flex-wrap items-center gap-2">
						<button class="btn btn-primary btn-sm" disabled={draft.busy}
							>{draft.plan
								? draft.plan.lost.length > 0
									? `Save and clear ${draft.plan.lost.length}`
									: 'Save and convert'
								: draft.isNew
									? 'Define it'
									: 'Save'}</button
						>
						<button type="button" class="btn btn-sm" onclick={onclose}>Cancel</button>
						{#if !draft.isNew}<button type="button" class="btn btn-ghost btn-sm text-error ml-auto" onclick={remove}
								>Take it away</button
							>{/if}
					</div>
				</form>
			{/if}
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
