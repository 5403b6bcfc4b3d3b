<script lang="ts">
	import { goto, invalidateAll } from '$app/navigation';
	import { page } from '$app/state';
	import Upload from '@lucide/svelte/icons/upload';
	import CatalogFilters from '$lib/catalog/CatalogFilters.svelte';
	import CatalogTable from '$lib/catalog/CatalogTable.svelte';
	import ImportDialog from '$lib/catalog/ImportDialog.svelte';
	import { counted } from '$lib/desk/words.js';

	let { data } = $props();
	let importing = $state(false);
	const PAGE = 50;
	const offset = $derived(Number(page.url.searchParams.get('offset') ?? 0));
	const isFiltered = $derived(['q', 'category', 'tag'].some((name) => page.url.searchParams.has(name)));

	/** Changes the query in the address, so that a filtered list can be linked to and gone back to. */
	function ask(changes: Record<string, string | null>) {
		const query = new URLSearchParams(page.url.searchParams);
		if (!('offset' in changes)) query.delete('offset');
		for (const [name, value] of Object.entries(changes)) {
			if (value === null || value === '') query.delete(name);
			else query.set(name, value);
		}
		void goto(`?${query.toString()}`, { keepFocus: true, noScroll: true, replaceState: 'q' in changes });
	}
</script>

<svelte:head><title>Catalog · Anbau</title></svelte:head>
<main class="mx-auto max-w-[1240px] px-3 py-4 sm:px-5">
	<div class="flex flex-wrap items-center gap-3">
		<h1 class="text-[23px]">Catalog</h1>
		<span class="text-muted">{counted(data.total, 'product')}{isFiltered ? ' found' : ''}</span>
		<button class="btn btn-primary btn-sm ml-auto h-9" onclick={() => (importing = true)}
			><Upload class="size-4" aria-hidden="true" />Import a file</button
		>
	</div>
	<CatalogFilters filters={data.filters} query={page.url.searchParams} {ask} />
	{#if data.total === 0 && !isFiltered}
		<section class="bg-base-100 border-base-300 rounded-box mt-3 border p-10 text-center">
			<h2 class="text-[19px]">Your products belong here</h2>
			<p class="text-muted mx-auto mt-2 max-w-lg">
				Import the catalogue as a CSV file. Its tags and categories are what pieces choose their products by.
			</p>
			<button class="btn btn-primary mt-5" onclick={() => (importing = true)}>Import a file</button>
		</section>
	{:else}
		<CatalogTable
			products={data.products}
			categories={data.filters.categories}
			locale={data.store.locale}
			query={page.url.searchParams}
			{ask}
		/>
		{#if data.total > PAGE}
			<nav class="mt-3 flex items-center justify-end gap-2" aria-label="Pages">
				<span class="text-muted text-[13px]">{offset + 1}–{Math.min(offset + PAGE, data.total)} of {data.total}</span>
				<button
					class="btn btn-sm"
					disabled={offset === 0}
					onclick={() => ask({ offset: String(Math.max(0, offset - PAGE)) })}>Back</button
				>
				<button
					class="btn btn-sm"
					disabled={offset + PAGE >= data.total}
					onclick={() => ask({ offset: String(offset + PAGE) })}>Next</button
				>
			</nav>
		{/if}
	{/if}
</main>
<ImportDialog bind:open={importing} onimported={() => invalidateAll()} />
