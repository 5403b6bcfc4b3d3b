<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import { untrack } from 'svelte';
	import { counted } from '$lib/desk/words.js';
	import { ExceptionList } from '$lib/exceptions/exceptionList.svelte.js';
	import ExceptionRows from '$lib/exceptions/ExceptionRows.svelte';

	let { data } = $props();
	const list = untrack(() => new ExceptionList(data.exceptions));
	let text = $state('');
	const rows = $derived(
		list.rows.filter(({ productTitle, about, exception }) =>
			`${productTitle} ${about} ${exception.product}`.toLowerCase().includes(text.trim().toLowerCase())
		)
	);
	const products = $derived(new Set(list.rows.map(({ exception }) => exception.product)).size);
	const gone = $derived(rows.filter((row) => row.productTitle === null || row.about === null));
</script>

<svelte:head><title>Exceptions · Anbau</title></svelte:head>
<main class="mx-auto max-w-[1000px] px-3 py-4 sm:px-5">
	<div class="flex flex-wrap items-center gap-3">
		<h1 class="text-[23px]">Exceptions</h1>
		<span class="text-muted">{counted(list.rows.length, 'exception')} on {counted(products, 'product')}</span>
		<a class="btn btn-sm ml-auto h-9" href="/api/v1/exceptions/file" download="exceptions.csv"
			><Download class="size-4" />All as CSV</a
		>
	</div>
	<p class="text-muted mt-1">
		Where a product does not follow the library. Exceptions stay when the shared piece changes, and go with one click.
	</p>
	{#if list.rows.length === 0}
		<p class="bg-base-100 border-base-300 rounded-box mt-4 border p-5">
			Every product follows the library. To let one deviate, open it in the <a class="link" href="/plan">page plan</a>
			or the <a class="link" href="/catalog">catalog</a>, and use the three dots beside a piece.
		</p>
	{:else}
		<input
			class="input input-sm mt-4 w-80"
			placeholder="Product or piece"
			aria-label="Search exceptions"
			bind:value={text}
		/>
		{#if gone.length > 0}<p class="text-secondary mt-2 font-semibold">
				{counted(gone.length, 'exception is', 'exceptions are')} about something that is gone, and changes nothing.
			</p>{/if}
		<div class="bg-base-100 border-base-300 rounded-box mt-3 border p-4"><ExceptionRows {list} {rows} by="both" /></div>
	{/if}
</main>
