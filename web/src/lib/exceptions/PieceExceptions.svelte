<script lang="ts">
	import { isOfTabs } from '@anbau/core/placement';
	import { counted } from '$lib/desk/words.js';
	import type { ExceptionList } from './exceptionList.svelte.js';
	import ExceptionRows from './ExceptionRows.svelte';

	/** The products that deviate from a piece. */
	let { list, slug }: { list: ExceptionList; slug: string } = $props();
	const rows = $derived(list.rows.filter(({ exception }) => !isOfTabs(exception) && exception.piece === slug));
</script>

{#if rows.length > 0}
	<section class="mb-3 pl-8" aria-label="Exceptions">
		<h2 class="text-muted mb-1.5 text-[14px]">
			Exceptions: on {counted(new Set(rows.map(({ exception }) => exception.product)).size, 'product')} this piece differs
		</h2>
		<ExceptionRows {list} {rows} by="product" />
	</section>
{/if}
