<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { slugify } from '@anbau/core/catalog';
	import type { HousePart } from '@anbau/core/placement';
	import { formOf } from '@anbau/core/pieces';
	import type { HookView } from '$lib/contracts.js';
	import { request, RequestProblem, sentenceOf } from '$lib/desk/request.js';
	import { waitingCount } from '$lib/desk/waiting.svelte.js';
	import SelectorTrial from './SelectorTrial.svelte';

	/** Elements that the theme already has, hung on another hook. */
	let { parts, hooks }: { parts: HousePart[]; hooks: HookView[] } = $props();
	const empty = { name: '', page: 'product' as const, from: '', hook: 'below-price', priority: 50 };
	let draft = $state<Omit<HousePart, 'slug'>>({ ...empty });
	let problem = $state('');
	const points = $derived(hooks.filter(({ id, pages }) => formOf(id) === 'point' && pages.includes(draft.page)));

	async function attempt(work: () => Promise<unknown>) {
		problem = '';
		try {
			await work();
			await invalidateAll();
			await waitingCount.refresh();
		} catch (error) {
			problem = error instanceof RequestProblem ? sentenceOf(error) : String(error);
		}
	}
	const add = () =>
		attempt(async () => {
			await request(`/api/v1/house-parts/${slugify(draft.name) || 'part'}`, { method: 'PUT', body: draft });
			draft = { ...empty };
		});
	const remove = (slug: string) => attempt(() => request(`/api/v1/house-parts/${slug}`, { method: 'DELETE' }));
</script>

<section class="bg-base-100 border-base-300 rounded-box border p-4" aria-labelledby="house-parts">
	<h2 id="house-parts" class="text-[17px]">The theme’s own parts, moved</h2>
	<p class="text-muted mt-1 text-[13px]">
		An element of the theme hangs on another hook instead. Where a page lacks it, nothing happens.
	</p>
	<ul class="mt-2 grid gap-1">
		{#each parts as part (part.slug)}
			<li class="flex flex-wrap items-center gap-x-3 text-[14px]">
				<b>{part.name}</b><code class="text-[13px]">{part.from}</code><span class="text-muted"
					>hangs on {part.hook}, number {part.priority}</span
				>
				<button type="button" class="btn btn-ghost btn-xs ml-auto" onclick={() => void remove(part.slug)}
					>Back to its place</button
				>
			</li>
		{:else}<li class="text-muted text-[13px]">Every part stands where the theme has it.</li>{/each}
	</ul>
	<form
		class="mt-3 flex flex-wrap items-end gap-2 text-[13px]"
		onsubmit={(event) => {
			event.preventDefault();
			void add();
		}}
	>
		<label class="grid gap-1"
			>What it is<input class="input input-sm w-40" placeholder="SKU line" bind:value={draft.name} required /></label
		>
		<label class="grid gap-1"
			>CSS selector<input
				class="input input-sm w-44 font-mono"
				placeholder=".details"
				bind:value={draft.from}
				required
			/></label
		>
		<label class="grid gap-1"
			>Hangs on<select class="select select-sm w-40" bind:value={draft.hook}>
				{#each points as { id } (id)}<option>{id}</option>{/each}
			</select></label
		>
		<label class="grid gap-1"
			>Number<input
				class="input input-sm w-16 font-mono"
				type="number"
				min="1"
				max="999"
				bind:value={draft.priority}
			/></label
		>
		<button class="btn btn-sm h-8">Move it</button>
	</form>
	{#if draft.from}<div class="mt-1"><SelectorTrial selector={draft.from} pages={[draft.page]} /></div>{/if}
	{#if problem}<p class="text-error mt-1 text-[13px]" role="alert">{problem}</p>{/if}
</section>
