<script lang="ts">
	import Search from '@lucide/svelte/icons/search';
	import { PIECE_KINDS } from '@anbau/core/pieces';
	import { KIND_WORDS } from '$lib/desk/words.js';
	import type { LibraryState, LibraryView } from './arrange.js';
	import ProductFilter from './ProductFilter.svelte';

	let { view = $bindable(), hooks }: { view: LibraryView; hooks: { id: string; title: string }[] } = $props();
	const states: [LibraryState, string][] = [
		['live', 'Live'],
		['waits', 'Waits'],
		['off', 'Off'],
		['reaches nothing', 'Reaches nothing']
	];
	const chip = (active: boolean) => [
		'chip border cursor-pointer h-7',
		active ? 'bg-primary text-primary-content border-primary' : 'bg-base-100 border-base-300 hover:bg-base-300/50'
	];
</script>

<div class="mt-4 flex flex-wrap items-center gap-2">
	<label class="input input-sm h-8 w-40">
		<Search class="text-muted size-4" aria-hidden="true" />
		<input type="search" placeholder="Search pieces" aria-label="Search pieces" bind:value={view.text} />
	</label>
	{#each PIECE_KINDS as kind (kind)}
		<button
			class={chip(view.kind === kind)}
			aria-pressed={view.kind === kind}
			onclick={() => (view.kind = view.kind === kind ? null : kind)}
			>{kind === 'media' || kind === 'reviews' ? KIND_WORDS[kind] : `${KIND_WORDS[kind]}s`}</button
		>
	{/each}
	<span class="bg-base-300 h-5 w-px max-sm:hidden"></span>
	{#each states as [state, word] (state)}
		<button
			class={chip(view.state === state)}
			aria-pressed={view.state === state}
			onclick={() => (view.state = view.state === state ? null : state)}>{word}</button
		>
	{/each}
	<ProductFilter bind:product={view.product} />
	<select class="select select-sm h-8 w-auto" aria-label="Hook" bind:value={view.hook}>
		<option value={null}>On any hook</option>
		{#each hooks as { id, title } (id)}<option value={id}>{title}</option>{/each}
	</select>
	<select class="select select-sm ml-auto h-8 w-auto max-sm:ml-0" aria-label="Sort" bind:value={view.sort}>
		<option value="name">By name</option>
		<option value="changed">Last changed first</option>
		<option value="reach">Widest reach first</option>
	</select>
</div>
