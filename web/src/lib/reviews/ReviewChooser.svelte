<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { toast } from 'svelte-sonner';
	import type { Review } from '@anbau/core/reviews';
	import type { ReviewsView } from '$lib/contracts.js';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import Stars from './Stars.svelte';

	/** Shown reviews picked by hand, found by their words. */
	interface Props {
		chosen: readonly string[];
		/** The most that can be picked. */
		most: number;
		onchange: (chosen: string[]) => void;
	}
	let { chosen, most, onchange }: Props = $props();
	let text = $state('');
	let found = $state.raw<Review[] | null>(null);
	let known = $state.raw<Record<string, Review | null>>({});
	const offered = $derived((found ?? []).filter(({ id }) => !chosen.includes(id)));

	$effect(() => {
		for (const id of chosen) {
			if (id in known) continue;
			request<Review>(`/api/v1/reviews/${encodeURIComponent(id)}`).then(
				(review) => (known = { ...known, [id]: review }),
				() => (known = { ...known, [id]: null })
			);
		}
	});

	async function search() {
		try {
			const query = new URLSearchParams({ state: 'shown', order: 'best', q: text });
			found = (await request<ReviewsView>(`/api/v1/reviews?${query}`)).reviews.slice(0, 8);
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
	function pick(review: Review) {
		known = { ...known, [review.id]: review };
		onchange(most === 1 ? [review.id] : [...chosen, review.id]);
		found = null;
		text = '';
	}
</script>

<div class="grid gap-1.5">
	{#each chosen as id (id)}
		{@const review = known[id]}
		<p class="bg-ochre-soft rounded-field flex items-start gap-2 px-2 py-1.5">
			{#if review}<Stars rating={review.rating} /><span class="min-w-0 flex-1 truncate"
					>{review.text || review.title} <span class="text-muted">{review.author}</span>{review.state === 'shown'
						? ''
						: ', not shown any more'}</span
				>{:else}<span class="min-w-0 flex-1">{review === null ? 'This review is gone.' : 'Loading'}</span>{/if}
			<button
				type="button"
				class="btn btn-ghost btn-xs btn-square"
				aria-label="Do not quote it"
				onclick={() => onchange(chosen.filter((one) => one !== id))}><X class="size-3.5" /></button
			>
		</p>
	{/each}
	{#if chosen.length < most || most === 1}
		<input
			class="input input-sm w-80 max-w-full"
			type="search"
			placeholder="Quote one by hand: search its words"
			aria-label="Search reviews to quote"
			bind:value={text}
			onfocus={() => void search()}
			oninput={() => void search()}
		/>
		{#if found}
			<ul class="border-base-300 rounded-box max-h-56 overflow-y-auto border">
				{#each offered as review (review.id)}
					<li>
						<button
							type="button"
							class="hover:bg-base-200 flex w-full items-start gap-2 px-2 py-1.5 text-left"
							onclick={() => pick(review)}
							><Stars rating={review.rating} /><span class="min-w-0 flex-1 truncate"
								>{review.text || review.title} <span class="text-muted">{review.author}</span></span
							></button
						>
					</li>
				{:else}<li class="text-muted px-2 py-1.5">No shown review says that.</li>{/each}
			</ul>
		{/if}
	{/if}
</div>
