<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import Redo from '@lucide/svelte/icons/redo-2';
	import Undo from '@lucide/svelte/icons/undo-2';
	import Upload from '@lucide/svelte/icons/upload';
	import type { AttributeDefinition, Category } from '@anbau/core/catalog';
	import { counted } from '$lib/desk/words.js';
	import type { Sheet, SheetQuery } from './sheet.svelte.js';
	import { debounced } from '$lib/ui/debounced.js';

	/** What the sheet shows, and what can be done with all of it. */
	interface Props {
		sheet: Sheet;
		query: SheetQuery;
		showing: 'sheet' | 'fullness';
		attributes: readonly AttributeDefinition[];
		categories: readonly Category[];
		ontake: () => void;
	}
	let { sheet, query = $bindable(), showing = $bindable(), attributes, categories, ontake }: Props = $props();
	const set = (change: Partial<SheetQuery>) => (query = { ...query, ...change });
	const side = (active: boolean) => ['btn btn-sm h-8', active && 'bg-moss-soft text-primary'];
	const search = debounced((q: string) => set({ q }));
	const saved = $derived(
		sheet.problem !== ''
			? sheet.problem
			: sheet.loading
				? `reading ${counted(sheet.rows.length, 'row')} of ${sheet.total} …`
				: sheet.saving > 0
					? 'saving …'
					: counted(sheet.total, 'row')
	);
</script>

<div class="flex flex-wrap items-center gap-2">
	<button class={side(query.of === 'product')} onclick={() => set({ of: 'product', missing: '' })}>Products</button>
	<button class={side(query.of === 'category')} onclick={() => set({ of: 'category', missing: '' })}>Categories</button>
	<input
		class="input input-sm h-8 w-28"
		type="search"
		placeholder="Search"
		aria-label="Search the sheet"
		oninput={(event) => search(event.currentTarget.value.trim())}
	/>
	{#if query.of === 'product'}
		<select
			class="select select-sm h-8 w-34"
			aria-label="Category"
			value={query.category}
			onchange={(event) => set({ category: event.currentTarget.value })}
		>
			<option value="">All categories</option>
			{#each categories as { key, title, parent } (key)}<option value={key}>{parent ? `· ${title}` : title}</option
				>{/each}
		</select>
	{/if}
	<select
		class="select select-sm h-8 w-36"
		aria-label="Missing"
		value={query.missing}
		onchange={(event) => set({ missing: event.currentTarget.value })}
	>
		<option value="">Full or missing</option>
		<option value="*">Missing: anything required</option>
		{#each attributes as { code, label } (code)}<option value={code}>Missing: {label}</option>{/each}
	</select>
	<span class="text-muted text-[13px]" aria-live="polite" data-testid="sheet-state">{saved}</span>
	{#if sheet.loading}<button class="btn btn-ghost btn-xs" onclick={() => sheet.stop()}>Stop</button>{/if}
	<span class="ml-auto flex items-center gap-1">
		<button
			class="btn btn-ghost btn-sm btn-square h-8"
			aria-label="Undo"
			title="Undo (Ctrl Z)"
			disabled={!sheet.canUndo}
			onclick={() => sheet.undo()}><Undo class="size-4" /></button
		>
		<button
			class="btn btn-ghost btn-sm btn-square h-8"
			aria-label="Redo"
			title="Redo (Ctrl Shift Z)"
			disabled={!sheet.canRedo}
			onclick={() => sheet.redo()}><Redo class="size-4" /></button
		>
		<button class={side(showing === 'fullness')} onclick={() => (showing = showing === 'sheet' ? 'fullness' : 'sheet')}
			>How full</button
		>
		<a
			class="btn btn-sm btn-square h-8"
			href={`/api/v1/sheet/file?of=${query.of}`}
			download="attributes.csv"
			aria-label="Hand out as CSV"
			title="Hand out as CSV"><Download class="size-4" /></a
		>
		<button class="btn btn-sm btn-square h-8" onclick={ontake} aria-label="Take a CSV file" title="Take a CSV file"
			><Upload class="size-4" /></button
		>
	</span>
</div>
