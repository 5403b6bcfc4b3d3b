<script lang="ts">
	import { invalidate, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import { untrack } from 'svelte';
	import type { AttributeDefinition } from '@anbau/core/catalog';
	import CellDialog from '$lib/attributes/CellDialog.svelte';
	import DefinitionDialog from '$lib/attributes/DefinitionDialog.svelte';
	import DefinitionList from '$lib/attributes/DefinitionList.svelte';
	import { DefinitionDraft } from '$lib/attributes/definition.svelte.js';
	import FileDialog from '$lib/attributes/FileDialog.svelte';
	import FullnessChart from '$lib/attributes/FullnessChart.svelte';
	import type { SheetElement } from '$lib/attributes/sheetElement.js';
	import SheetFaults from '$lib/attributes/SheetFaults.svelte';
	import SheetGrid from '$lib/attributes/SheetGrid.svelte';
	import { Sheet, type CellFault, type GridRow, type SheetQuery } from '$lib/attributes/sheet.svelte.js';
	import SheetTools from '$lib/attributes/SheetTools.svelte';

	let { data } = $props();
	let draft = $state.raw<DefinitionDraft | null>(null);
	let taking = $state(false);
	let showing = $state<'sheet' | 'fullness'>('sheet');
	let query = $state.raw<SheetQuery>({
		of: 'product',
		q: page.url.searchParams.get('q') ?? '',
		category: '',
		missing: ''
	});
	let grid: SheetElement | null = null;
	let cell = $state.raw<{ row: GridRow; attribute: AttributeDefinition } | null>(null);
	const sheet = new Sheet(() => void grid?.refresh('all'));
	const attributes = $derived(data.view.attributes.filter((one) => one.of === query.of));

	$effect(() => {
		const asked = query;
		untrack(() => void sheet.load(asked));
	});
	// How full everything is follows what was saved; nothing else of the desk changes with a value.
	$effect(() => {
		if (sheet.saves > 0) void invalidate('anbau:attributes');
	});

	function look(fault: CellFault) {
		const at = sheet.rows.indexOf(fault.row);
		const column = attributes.findIndex((one) => one.code === fault.code);
		void grid?.scrollToRow(at);
		void grid?.scrollToColumnProp(fault.code);
		void grid?.setCellsFocus({ x: column, y: at }, { x: column, y: at }, 'rgCol', 'rgRow');
	}
	const open = (code: string) =>
		(draft = new DefinitionDraft(data.view.attributes.find((one) => one.code === code) ?? null, code));

	async function reread() {
		draft = null;
		await invalidateAll();
		await sheet.load(query);
	}
	function missing(code: string) {
		const of = data.view.attributes.find((one) => one.code === code)?.of ?? 'product';
		showing = 'sheet';
		query = { of, q: '', category: '', missing: code };
	}
</script>

<svelte:head><title>Attributes · Anbau</title></svelte:head>
<main
	class="grid grid-cols-[minmax(0,1fr)] gap-4 px-3 py-4 sm:px-5 lg:h-[calc(100dvh-52px)] lg:grid-cols-[310px_minmax(0,1fr)]"
>
	<section class="bg-base-100 border-base-300 rounded-box min-w-0 border p-4 lg:overflow-y-auto">
		<DefinitionList view={data.view} onopen={open} onnew={open} onmissing={missing} />
	</section>
	<section class="flex min-h-[26rem] min-w-0 flex-col gap-2">
		<SheetTools
			{sheet}
			bind:query
			bind:showing
			{attributes}
			categories={data.categories}
			ontake={() => (taking = true)}
		/>
		{#if attributes.length === 0}
			<div
				class="bg-base-100 border-base-300 rounded-box text-muted grid flex-1 place-items-center border p-8 text-center"
			>
				<p>
					Nothing is defined for {query.of === 'product' ? 'products' : 'categories'} yet.
					<button class="link" onclick={() => open('')}>Define an attribute</button> and its column appears here.
				</p>
			</div>
		{:else if showing === 'fullness'}
			<div class="bg-base-100 border-base-300 rounded-box flex-1 border p-4">
				<h2 class="text-[17px]">How full each attribute is, per category</h2>
				<div class="h-[calc(100%-2rem)]"><FullnessChart view={data.view} categories={data.categories} /></div>
			</div>
		{:else}
			<div class="border-base-300 rounded-box min-h-0 flex-1 overflow-hidden border">
				<SheetGrid
					{sheet}
					{attributes}
					firstColumn={query.of === 'product' ? 'Product' : 'Category'}
					onready={(made) => (grid = made)}
					onopen={(row, attribute) => (cell = { row, attribute })}
				/>
			</div>
			<SheetFaults {sheet} {attributes} onlook={look} />
		{/if}
	</section>
</main>
<DefinitionDialog {draft} categories={data.categories} onclose={() => (draft = null)} onsaved={reread} />
<FileDialog bind:open={taking} of={query.of} ontaken={reread} />
{#if cell}
	<CellDialog
		row={cell.row}
		attribute={cell.attribute}
		onsave={(text) => cell && sheet.change([{ row: cell.row, code: cell.attribute.code, text }])}
		onclose={() => (cell = null)}
	/>
{/if}
