<script lang="ts">
	import Search from '@lucide/svelte/icons/search';
	import { REVIEW_STATES, type ReviewOrder, type ReviewState } from '@anbau/core/reviews';
	import X from '@lucide/svelte/icons/x';
	import { debounced } from '$lib/ui/debounced.js';
	import ProductPick from '$lib/ui/ProductPick.svelte';
	import type { ReviewDesk } from './reviewDesk.svelte.js';

	/** Which reviews are looked at. */
	let { desk }: { desk: ReviewDesk } = $props();
	const { counts } = $derived(desk.view);
	const all = $derived(counts.waiting + counts.shown + counts.hidden);
	const states = $derived<[ReviewState | '', string, number][]>([
		...REVIEW_STATES.map((state): [ReviewState, string, number] => [
			state,
			state === 'waiting' ? 'Waiting' : state === 'shown' ? 'Shown' : 'Hidden',
			counts[state]
		]),
		['', 'All', all]
	]);
	let productTitle = $state('');
	const search = debounced((q: string) => void desk.choose({ q }));
</script>

<div class="flex flex-wrap items-center gap-2">
	{#each states as [state, words, count] (state)}
		<button
			type="button"
			class={[
				'chip h-7 cursor-pointer border',
				desk.choice.state === state
					? 'bg-primary text-primary-content border-primary'
					: 'bg-base-100 border-base-300 hover:bg-base-300/50'
			]}
			aria-pressed={desk.choice.state === state}
			onclick={() => void desk.choose({ state })}>{words} {count.toLocaleString('en')}</button
		>
	{/each}
	<label class="input input-sm h-8 w-44">
		<Search class="text-muted size-4" aria-hidden="true" />
		<input
			type="search"
			placeholder="Search words"
			aria-label="Search reviews"
			oninput={(event) => search(event.currentTarget.value)}
		/>
	</label>
	<select
		class="select select-sm h-8 w-auto"
		aria-label="Stars"
		onchange={(event) =>
			void desk.choose({ rating: event.currentTarget.value ? Number(event.currentTarget.value) : '' })}
	>
		<option value="">Any stars</option>
		{#each [5, 4, 3, 2, 1] as rating (rating)}<option value={rating}>{rating} {rating === 1 ? 'star' : 'stars'}</option
			>{/each}
	</select>
	<select
		class="select select-sm h-8 w-auto"
		aria-label="Verified"
		onchange={(event) => void desk.choose({ verified: event.currentTarget.value as 'true' | 'false' | '' })}
	>
		<option value="">Verified or not</option>
		<option value="true">Verified</option>
		<option value="false">Not verified</option>
	</select>
	{#if desk.choice.product}
		<span class="chip bg-plum-soft text-plum h-7 max-w-56">
			<span class="truncate">of {productTitle || desk.choice.product}</span>
			<button class="cursor-pointer" aria-label="Of any product" onclick={() => void desk.choose({ product: '' })}
				><X class="size-3.5" /></button
			>
		</span>
	{:else}
		<ProductPick
			label="Of a product"
			words="Of product …"
			onpick={({ value, label }) => {
				productTitle = label;
				void desk.choose({ product: value });
			}}
		/>
	{/if}
	<select
		class="select select-sm h-8 w-auto"
		aria-label="Order"
		onchange={(event) => void desk.choose({ order: event.currentTarget.value as ReviewOrder })}
	>
		<option value="newest">Newest first</option>
		<option value="oldest">Oldest first</option>
		<option value="worst">Worst first</option>
		<option value="best">Best first</option>
	</select>
</div>
