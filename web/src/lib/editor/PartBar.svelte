<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import Copy from '@lucide/svelte/icons/copy';
	import Trash from '@lucide/svelte/icons/trash-2';
	import type { Selected } from './bodyEditor.js';
	import { duplicatePart, movePart, removePart, setAttributes } from './partCommands.js';
	import { partLabel } from './partKinds.js';
	import AccordionForm from './parts/AccordionForm.svelte';
	import AttributesForm from './parts/AttributesForm.svelte';
	import ButtonForm from './parts/ButtonForm.svelte';
	import ColumnsForm from './parts/ColumnsForm.svelte';
	import HtmlForm from './parts/HtmlForm.svelte';
	import IconListForm from './parts/IconListForm.svelte';
	import ImageForm from './parts/ImageForm.svelte';
	import PicturesForm from './parts/PicturesForm.svelte';
	import ProductListForm from './parts/ProductListForm.svelte';
	import MediaForm from './parts/MediaForm.svelte';
	import ReviewQuoteForm from './parts/ReviewQuoteForm.svelte';
	import SnippetForm from './parts/SnippetForm.svelte';
	import TableForm from './parts/TableForm.svelte';

	/** The part that the cursor is in: moved, copied, taken away, and its settings. */
	let { editor, selected }: { editor: Editor; selected: Selected } = $props();
	const FORMS = {
		accordion: AccordionForm,
		attributeTable: AttributesForm,
		documentList: AttributesForm,
		button: ButtonForm,
		columns: ColumnsForm,
		media: MediaForm,
		rawHtml: HtmlForm,
		reviewQuote: ReviewQuoteForm,
		iconList: IconListForm,
		image: ImageForm,
		pictureRow: PicturesForm,
		productList: ProductListForm,
		snippet: SnippetForm,
		table: TableForm
	};
	const { outer, part } = $derived(selected);
	const name = $derived(part?.node.type.name ?? outer?.node.type.name ?? 'paragraph');
	const Form = $derived(part ? (FORMS as Partial<Record<string, typeof ButtonForm>>)[part.node.type.name] : undefined);
	const tools = $derived([
		{ label: 'Move the part up', Icon: ArrowUp, run: () => movePart(editor, -1) },
		{ label: 'Move the part down', Icon: ArrowDown, run: () => movePart(editor, 1) },
		{ label: 'Duplicate the part', Icon: Copy, run: () => duplicatePart(editor) },
		{ label: 'Remove the part', Icon: Trash, run: () => removePart(editor) }
	]);
</script>

<div class="border-base-300 border-t px-3 py-1.5 text-[13px]">
	<div class="flex flex-wrap items-center gap-1">
		<span class="text-muted mr-1">{partLabel(name)}</span>
		{#each tools as { label, Icon, run } (label)}
			<button type="button" class="btn btn-ghost btn-xs btn-square" aria-label={label} title={label} onclick={run}
				><Icon class="size-3.5" /></button
			>
		{/each}
	</div>
	{#if part && Form}
		<div class="py-1.5"><Form {editor} {part} set={(change) => setAttributes(editor, part, change)} /></div>
	{/if}
</div>
