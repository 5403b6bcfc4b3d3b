<script lang="ts">
	import { MOST_PER_PAGE, REVIEW_FORMS, type ReviewForm, type ReviewsPiece } from '@anbau/core/pieces';
	import ReviewChooser from '$lib/reviews/ReviewChooser.svelte';
	import ReviewPicture from './ReviewPicture.svelte';
	import HeadingField from './HeadingField.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** How a widget shows a product's reviews: one of the finished forms, and what can be chosen of it. */
	let { piece, bench }: { piece: ReviewsPiece; bench: Workbench } = $props();
	const { settings } = $derived(piece);
	const set = (place: string, change: Partial<ReviewsPiece['settings']>) =>
		bench.edit(place, { ...piece, settings: { ...piece.settings, ...change } });
	const FORM_WORDS: Record<ReviewForm, [name: string, use: string]> = {
		stars: ['Star line', 'below the title'],
		summary: ['Summary', 'average and distribution'],
		section: ['Section', 'to read, order and write'],
		quotes: ['Quotes', 'a few good words']
	};
	type Count = 'perPage' | 'quotes' | 'least';
	function count(place: Count, most: number, value: number) {
		if (Number.isInteger(value) && value >= 1 && value <= most) set(place, { [place]: value });
	}
</script>

{#snippet number(label: string, place: Count, most: number)}
	<input
		type="number"
		class="input input-sm h-8 w-16"
		min="1"
		max={most}
		aria-label={label}
		value={settings[place]}
		onchange={(event) => count(place, most, event.currentTarget.valueAsNumber)}
	/>
{/snippet}

<div class="bg-base-100 border-base-300 rounded-box grid grid-cols-[minmax(0,1fr)] gap-3 border p-4 text-[13px]">
	<div class="flex flex-wrap gap-2" role="group" aria-label="Form">
		{#each REVIEW_FORMS as form (form)}
			<button
				type="button"
				class={[
					'rounded-box border-2 p-1.5 text-left',
					form === settings.form ? 'border-primary bg-moss-soft' : 'hover:border-base-300 border-transparent'
				]}
				aria-pressed={form === settings.form}
				onclick={() => set('form', { form })}
				><ReviewPicture {form} /><b class="block px-1 pt-1">{FORM_WORDS[form][0]}</b><span class="text-muted block px-1"
					>{FORM_WORDS[form][1]}</span
				></button
			>
		{/each}
	</div>
	<HeadingField {piece} {bench} />
	{#if settings.form === 'stars'}
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				checked={settings.count}
				onchange={(event) => set('count', { count: event.currentTarget.checked })}
			/>Says how many reviews there are; a click leads to the section</label
		>
	{:else if settings.form === 'section'}
		<p class="flex flex-wrap items-center gap-2">
			Shows {@render number('Reviews on a page', 'perPage', MOST_PER_PAGE)}
			at a time,
			<select
				class="select select-sm h-8 w-auto"
				aria-label="Which come first"
				value={settings.order}
				onchange={(event) => set('order', { order: event.currentTarget.value === 'best' ? 'best' : 'newest' })}
			>
				<option value="newest">the newest first</option>
				<option value="best">the best first</option>
			</select>
		</p>
		<label class="flex items-center gap-2"
			><input
				type="checkbox"
				class="checkbox checkbox-sm"
				checked={settings.write}
				onchange={(event) => set('write', { write: event.currentTarget.checked })}
			/>Customers can write one there; it waits until you show it</label
		>
	{:else if settings.form === 'quotes'}
		<p class="flex flex-wrap items-center gap-2">
			Shows {@render number('How many quotes', 'quotes', 12)}
			of the product’s best, with
			{@render number('Least stars', 'least', 5)}
			stars at least
		</p>
		<ReviewChooser chosen={settings.chosen} most={12} onchange={(chosen) => set('chosen', { chosen })} />
	{/if}
	{#if settings.form !== 'quotes'}
		<p class="flex flex-wrap items-center gap-2">
			Where a product has no review,
			<select
				class="select select-sm h-8 w-auto"
				aria-label="Without any review"
				value={settings.none}
				onchange={(event) => set('none', { none: event.currentTarget.value === 'invite' ? 'invite' : 'quiet' })}
			>
				<option value="quiet">nothing stands there</option>
				<option value="invite">it asks for the first one</option>
			</select>
		</p>
	{/if}
	<p class="text-muted">
		Reviews are public as soon as you show them, outside releases. Colours are the theme’s unless the piece has its own
		look.
	</p>
</div>
