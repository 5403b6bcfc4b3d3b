<script lang="ts">
	import { exceptionWords, isOfTabs } from '@anbau/core/placement';
	import type { ExceptionView } from '$lib/contracts.js';
	import type { ExceptionList } from './exceptionList.svelte.js';

	/** Exceptions as a list, each dropped with one click. */
	interface Props {
		list: ExceptionList;
		rows: readonly ExceptionView[];
		/** What each row is named by. */
		by: 'product' | 'piece' | 'both';
	}
	let { list, rows, by }: Props = $props();
	const aboutOf = ({ exception, about }: ExceptionView) =>
		isOfTabs(exception)
			? `the theme’s tab ${about ?? `${exception.houseTab} (gone)`}`
			: (about ?? `${exception.piece} (gone)`);
	const linkOf = ({ exception }: ExceptionView) =>
		isOfTabs(exception)
			? '/store#house-tabs'
			: `/library/${exception.piece}?product=${encodeURIComponent(exception.product)}`;
</script>

<ul class="grid gap-1">
	{#each rows as row (row.id)}
		<li class="border-base-300/70 flex flex-wrap items-center gap-x-3 border-b py-1 text-[14px]">
			{#if by !== 'piece'}<a
					class="link min-w-0 truncate"
					href={`/catalog/${encodeURIComponent(row.exception.product)}`}
					>{row.productTitle ?? `${row.exception.product} (gone)`}</a
				>{/if}
			{#if by !== 'product'}<a class="link min-w-0 truncate" href={linkOf(row)}>{aboutOf(row)}</a>{/if}
			<span class="chip bg-terracotta-soft text-base-content">{exceptionWords(row.exception)}</span>
			<span class="text-muted text-[12px]">{row.by}</span>
			<button type="button" class="btn btn-ghost btn-xs ml-auto" onclick={() => void list.drop(row)}
				>Follow the library again</button
			>
		</li>
	{/each}
</ul>
