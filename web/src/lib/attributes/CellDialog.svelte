<script lang="ts">
	import { Dialog } from 'bits-ui';
	import { untrack } from 'svelte';
	import type { AttributeDefinition } from '@anbau/core/catalog';
	import { searchProducts } from '$lib/reach/searchProducts.js';
	import ShelfPicker from '$lib/media/ShelfPicker.svelte';
	import PickList from '$lib/ui/PickList.svelte';
	import DocumentsForm from './DocumentsForm.svelte';
	import { textIn, type GridRow } from './sheet.svelte.js';

	/** A cell that is too much for a line: documents, products, choices, and long texts. */
	interface Props {
		row: GridRow;
		attribute: AttributeDefinition;
		onsave: (text: string) => void;
		onclose: () => void;
	}
	let { row, attribute, onsave, onclose }: Props = $props();
	let text = $state(untrack(() => textIn(row, attribute.code)));
	const keys = $derived(
		text
			.split('|')
			.map((key) => key.trim())
			.filter((key) => key !== '')
	);

	const searchChoices = (asked: string) =>
		attribute.choices
			.filter((choice) => choice.toLowerCase().includes(asked.trim().toLowerCase()))
			.map((choice) => ({ value: choice, label: choice }));
	const toggle = (key: string) =>
		(text = (keys.includes(key) ? keys.filter((one) => one !== key) : [...keys, key]).join(' | '));
	function save(saved = text) {
		onsave(saved);
		onclose();
	}
</script>

<Dialog.Root bind:open={() => true, (open) => open || onclose()}>
	<Dialog.Portal>
		<Dialog.Overlay class="fixed inset-0 z-50 bg-black/30" />
		<Dialog.Content
			class="bg-base-100 rounded-box shadow-float fixed top-[10vh] left-1/2 z-50 max-h-[80vh] w-[min(36rem,94vw)] -translate-x-1/2 overflow-y-auto p-5"
		>
			<Dialog.Title class="text-[17px]">{attribute.label} of {row.$title}</Dialog.Title>
			{#if attribute.note}<Dialog.Description class="text-muted mt-1">{attribute.note}</Dialog.Description>{/if}
			<div class="mt-3">
				{#if attribute.type === 'documents'}
					<DocumentsForm bind:text />
				{:else if attribute.type === 'products'}
					<PickList
						label="Search products"
						search={searchProducts}
						chosen={keys}
						onpick={({ value }) => toggle(value)}
					/>
					<p class="text-muted mt-2 text-[13px]">{keys.join(', ') || 'None chosen'}</p>
				{:else if attribute.type === 'media'}
					<ShelfPicker kind="film" address={text} onpick={({ address }) => (text = address)} />
					<ShelfPicker kind="picture" address={text} onpick={({ address }) => (text = address)} />
					<input class="input input-sm mt-2 w-full font-mono" aria-label={attribute.label} bind:value={text} />
				{:else if attribute.type === 'choice'}
					<PickList label="Search choices" search={searchChoices} chosen={[text]} onpick={({ value }) => save(value)} />
				{:else}
					<textarea class="textarea min-h-40 w-full" aria-label={attribute.label} bind:value={text}></textarea>
					{#if attribute.type === 'richText'}<p class="text-muted mt-1 text-[13px]">Markdown, or HTML.</p>{/if}
				{/if}
			</div>
			<div class="mt-4 flex gap-2">
				<button type="button" class="btn btn-primary btn-sm" onclick={() => save()}>Take it</button>
				<button type="button" class="btn btn-sm" onclick={onclose}>Cancel</button>
				{#if attribute.type === 'choice' && text !== ''}<button
						type="button"
						class="btn btn-ghost btn-sm"
						onclick={() => save('')}>None of them</button
					>{/if}
			</div>
		</Dialog.Content>
	</Dialog.Portal>
</Dialog.Root>
