<script lang="ts">
	import Download from '@lucide/svelte/icons/download';
	import Mail from '@lucide/svelte/icons/mail';
	import Upload from '@lucide/svelte/icons/upload';
	import { untrack } from 'svelte';
	import type { ReviewsView, StoreView } from '$lib/contracts.js';
	import { counted } from '$lib/desk/words.js';
	import HideSheet from './HideSheet.svelte';
	import ImportSheet from './ImportSheet.svelte';
	import InviteSheet from './InviteSheet.svelte';
	import ReviewFilters from './ReviewFilters.svelte';
	import ReviewNumbers from './ReviewNumbers.svelte';
	import ReviewRow from './ReviewRow.svelte';
	import { ReviewDesk } from './reviewDesk.svelte.js';

	/** The reviews of a store: those that wait to be looked at first, and how the shown ones stand. */
	let { data }: { data: { store: StoreView; reviews: ReviewsView } } = $props();
	const desk = untrack(() => new ReviewDesk(data.reviews));
	let hiding = $state.raw<string[] | null>(null);
	let sheet = $state<'import' | 'invite' | null>(null);
	const pages = $derived(Math.max(1, Math.ceil(desk.view.total / 50)));

	$effect(() => untrack(() => void desk.count()));

	const KEYS: Record<string, () => void> = {
		ArrowDown: () => desk.move(1),
		ArrowUp: () => desk.move(-1),
		j: () => desk.move(1),
		k: () => desk.move(-1),
		x: () => desk.at && desk.mark(desk.at),
		s: () => desk.subjects.length > 0 && void desk.moderate(desk.subjects, { state: 'shown' }),
		h: () => desk.subjects.length > 0 && (hiding = desk.subjects),
		r: () => document.querySelector<HTMLElement>('[data-answer]')?.click(),
		Escape: () => (desk.marked = new Set())
	};
	function key(event: KeyboardEvent) {
		const { target } = event;
		const isTyping =
			target instanceof HTMLElement && target.closest('input:not([type=checkbox]), textarea, select, [role=dialog]');
		const work = KEYS[event.key];
		if (isTyping || event.ctrlKey || event.metaKey || event.altKey || !work || hiding || sheet) return;
		event.preventDefault();
		work();
	}
</script>

<svelte:window onkeydown={key} />
<main class="mx-auto max-w-[1240px] px-3 py-4 sm:px-5">
	<div class="flex flex-wrap items-center gap-3">
		<h1 class="text-[23px]">Reviews</h1>
		<span class="text-muted max-sm:hidden"
			>{desk.view.counts.waiting === 0
				? 'none waits to be looked at'
				: `${counted(desk.view.counts.waiting, 'review')} wait to be looked at`}</span
		>
		<span class="ml-auto flex flex-wrap gap-2">
			<button type="button" class="btn btn-sm h-9" onclick={() => (sheet = 'invite')}
				><Mail class="size-4" />Invite to review</button
			>
			<a class="btn btn-sm h-9" href={`/api/v1/reviews/file?format=csv&${desk.query}`} download="reviews.csv"
				><Download class="size-4" />These as CSV</a
			>
			<button type="button" class="btn btn-primary btn-sm h-9" onclick={() => (sheet = 'import')}
				><Upload class="size-4" />Import</button
			>
		</span>
	</div>
	<div class="mt-3"><ReviewFilters {desk} /></div>
	<div class="mt-3 grid items-start gap-4 lg:grid-cols-[minmax(0,1fr)_21rem]">
		<section class="bg-base-100 border-base-300 rounded-box overflow-hidden border" aria-label="Reviews">
			<div class="border-base-300 flex flex-wrap items-center gap-2 border-b px-3 py-2 text-[13px]">
				<input
					type="checkbox"
					class="checkbox checkbox-sm"
					aria-label="Mark all on this page"
					checked={desk.marked.size > 0 && desk.marked.size === desk.view.reviews.length}
					onchange={() => desk.markAll()}
				/>
				{#if desk.marked.size > 0}
					<b>{counted(desk.marked.size, 'review')} marked</b>
					<button
						type="button"
						class="btn btn-primary btn-xs"
						onclick={() => void desk.moderate(desk.subjects, { state: 'shown' })}>Show them</button
					>
					<button type="button" class="btn btn-xs" onclick={() => (hiding = desk.subjects)}>Hide them …</button>
				{:else}
					<span class="text-muted">{counted(desk.view.total, 'review')}</span>
					<span class="text-muted ml-auto max-sm:hidden"
						><kbd class="kbd kbd-xs">↓</kbd>
						<kbd class="kbd kbd-xs">↑</kbd> move · <kbd class="kbd kbd-xs">s</kbd> show ·
						<kbd class="kbd kbd-xs">h</kbd>
						hide · <kbd class="kbd kbd-xs">r</kbd> answer · <kbd class="kbd kbd-xs">x</kbd> mark</span
					>
				{/if}
			</div>
			<ul class="divide-base-300 divide-y">
				{#each desk.view.reviews as review (review.id)}
					<ReviewRow {desk} {review} zone={data.store.zone} base={data.store.base} onhide={(ids) => (hiding = ids)} />
				{:else}
					<li class="p-5">
						{desk.choice.state === 'waiting' && desk.query === 'state=waiting&order=newest&page=1'
							? 'Nothing waits. What customers write in the shop comes here first, and is public once you show it.'
							: 'No review is like that.'}
					</li>
				{/each}
			</ul>
			{#if pages > 1}
				<p class="border-base-300 flex items-center gap-3 border-t px-3 py-2 text-[13px]">
					<button
						type="button"
						class="btn btn-xs"
						disabled={desk.choice.page === 1}
						onclick={() => void desk.choose({ page: desk.choice.page - 1 })}>Previous</button
					><span class="text-muted">page {desk.choice.page} of {pages}</span><button
						type="button"
						class="btn btn-xs"
						disabled={desk.choice.page === pages}
						onclick={() => void desk.choose({ page: desk.choice.page + 1 })}>Next</button
					>
				</p>
			{/if}
		</section>
		<aside>
			{#if desk.statistics}<ReviewNumbers
					statistics={desk.statistics}
					onproduct={(product) => void desk.choose({ product, state: '' })}
				/>{/if}
		</aside>
	</div>
</main>
{#if hiding}
	<HideSheet
		count={hiding.length}
		onclose={() => (hiding = null)}
		onhide={(reason) => {
			const ids = hiding ?? [];
			hiding = null;
			void desk.moderate(ids, { state: 'hidden', reason });
		}}
	/>
{/if}
{#if sheet === 'import'}
	<ImportSheet onclose={() => (sheet = null)} ondone={() => void desk.choose({ state: '' }).then(() => desk.count())} />
{:else if sheet === 'invite'}
	<InviteSheet onclose={() => (sheet = null)} />
{/if}
