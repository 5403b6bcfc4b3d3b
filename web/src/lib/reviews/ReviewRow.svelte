<script lang="ts">
	import { served } from '@anbau/core/pieces';
	import type { ReviewView } from '$lib/contracts.js';
	import { timeWords } from '$lib/desk/words.js';
	import Stars from './Stars.svelte';
	import type { ReviewDesk } from './reviewDesk.svelte.js';

	/** One review: its words, of what, by whom; under the cursor with what can be done with it. */
	interface Props {
		desk: ReviewDesk;
		review: ReviewView;
		zone: string;
		/** Where uploads are served. */
		base: string;
		onhide: (ids: string[]) => void;
	}
	let { desk, review, zone, base, onhide }: Props = $props();
	const isAt = $derived(desk.at === review.id);
	const isMarked = $derived(desk.marked.has(review.id));
	let isAnswering = $state(false);
	let row = $state<HTMLElement>();
	const STATES = {
		waiting: 'bg-terracotta-soft text-base-content',
		shown: 'bg-moss-soft text-primary',
		hidden: 'bg-base-200 text-muted'
	};

	$effect(() => {
		if (isAt) row?.scrollIntoView({ block: 'nearest' });
		else isAnswering = false;
	});
	async function answer(reply: string) {
		if (await desk.moderate([review.id], { reply })) isAnswering = false;
	}
</script>

<li
	bind:this={row}
	class={['flex gap-3 border-l-4 px-3 py-2.5', isAt ? 'border-primary bg-base-200/60' : 'border-transparent']}
	aria-current={isAt || undefined}
>
	<input
		type="checkbox"
		class="checkbox checkbox-sm mt-0.5"
		checked={isMarked}
		aria-label={`Mark the review by ${review.author}`}
		onchange={() => desk.mark(review.id)}
	/>
	<div class="min-w-0 flex-1">
		<button type="button" class="block w-full text-left" onclick={() => (desk.at = review.id)}>
			<span class="flex flex-wrap items-center gap-x-2">
				<Stars rating={review.rating} />
				<b class="min-w-0 truncate">{review.title || 'Without a headline'}</b>
				<span class={['rounded-full px-2 text-[12px]', STATES[review.state]]}
					>{review.state}{review.reason ? `: ${review.reason}` : ''}</span
				>
				{#if review.verified}<span class="text-primary text-[12px]">verified purchase</span>{/if}
			</span>
			<span class={['mt-0.5 block whitespace-pre-line', !isAt && 'line-clamp-2']}>{review.text}</span>
			<span class="text-muted mt-0.5 block text-[13px]"
				>{review.author}, {timeWords(review.date, zone)} · {review.productTitle}</span
			>
		</button>
		{#if isAt && review.pictures.length > 0}
			<p class="mt-1 flex flex-wrap gap-2">
				{#each review.pictures.map((address) => served(address, base)) as src, i (i)}<a
						href={src}
						target="_blank"
						rel="noreferrer"><img {src} alt={`Picture ${i + 1}`} class="size-16 rounded-md object-cover" /></a
					>{/each}
			</p>
		{/if}
		{#if review.reply && !isAnswering}<p class="border-ochre mt-1 border-l-3 pl-2 text-[13px] whitespace-pre-line">
				<b>Answer:</b>
				{review.reply}
			</p>{/if}
		{#if isAt && isAnswering}
			<form
				class="mt-2 grid gap-1.5"
				onsubmit={(event) => {
					event.preventDefault();
					void answer(String(new FormData(event.currentTarget).get('reply')));
				}}
			>
				<!-- svelte-ignore a11y_autofocus -->
				<textarea
					name="reply"
					class="textarea textarea-sm w-full"
					rows="3"
					maxlength="5000"
					aria-label="The store’s answer"
					autofocus
					onkeydown={(event) => {
						if (event.key === 'Escape') isAnswering = false;
						if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) event.currentTarget.form?.requestSubmit();
					}}>{review.reply}</textarea
				>
				<span class="flex gap-2"
					><button class="btn btn-primary btn-xs">Save the answer</button><button
						type="button"
						class="btn btn-ghost btn-xs"
						onclick={() => (isAnswering = false)}>Not now</button
					></span
				>
			</form>
		{:else if isAt}
			<div class="mt-2 flex flex-wrap gap-1.5">
				{#if review.state !== 'shown'}<button
						type="button"
						class="btn btn-primary btn-xs"
						title="s"
						onclick={() => void desk.moderate([review.id], { state: 'shown' })}>Show it</button
					>{/if}
				{#if review.state !== 'hidden'}<button
						type="button"
						class="btn btn-xs"
						title="h"
						onclick={() => onhide([review.id])}>Hide it …</button
					>{/if}
				<button type="button" class="btn btn-xs" title="r" data-answer onclick={() => (isAnswering = true)}
					>{review.reply ? 'Change the answer' : 'Answer'}</button
				>
				{#if review.state === 'hidden'}<button
						type="button"
						class="btn btn-ghost btn-xs"
						onclick={() => confirm('Erase this review for good? This cannot be undone.') && void desk.erase(review.id)}
						>Erase for good</button
					>{/if}
			</div>
		{/if}
	</div>
</li>
