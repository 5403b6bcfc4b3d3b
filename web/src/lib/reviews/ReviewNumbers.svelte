<script lang="ts">
	import { countOf, roundedMean, sharesOf } from '@anbau/core/reviews';
	import type { ReviewStatistics } from '$lib/contracts.js';
	import { counted } from '$lib/desk/words.js';
	import Stars from './Stars.svelte';
	import TrendChart from './TrendChart.svelte';

	/** How the shown reviews stand, of the store or of one product, and which products rate best. */
	let { statistics, onproduct }: { statistics: ReviewStatistics; onproduct: (key: string) => void } = $props();
	const mean = $derived(roundedMean(statistics.histogram));
	const count = $derived(countOf(statistics.histogram));
</script>

<section class="bg-base-100 border-base-300 rounded-box border p-4">
	<h2 class="text-[17px]">Shown in the shop</h2>
	{#if mean === null}
		<p class="text-muted mt-1">No review is shown yet.</p>
	{:else}
		<p class="mt-2 flex items-center gap-3">
			<b class="font-display text-[32px] leading-none">{mean.toFixed(1)}</b><span
				><Stars rating={mean} /><span class="text-muted block text-[13px]">{counted(count, 'review')}</span></span
			>
		</p>
		<ul class="mt-3 grid gap-1 text-[13px]">
			{#each sharesOf(statistics.histogram) as { rating, count, share } (rating)}
				<li class="grid grid-cols-[3.5rem_1fr_2.5rem] items-center gap-2">
					<span>{rating} {rating === 1 ? 'star' : 'stars'}</span>
					<span class="bg-base-300 h-1.5 overflow-hidden rounded-full"
						><span class="bg-ochre block h-full" style:width={`${share * 100}%`}></span></span
					><span class="text-right font-mono">{count}</span>
				</li>
			{/each}
		</ul>
		<h3 class="mt-4 text-[14px]">Month by month</h3>
		<TrendChart trend={statistics.trend} />
	{/if}
</section>
{#if statistics.products.length > 0}
	<section class="bg-base-100 border-base-300 rounded-box mt-3 border p-4">
		<h2 class="text-[17px]">Best rated</h2>
		<p class="text-muted text-[13px]">By what so few or many reviews can tell, not by the average alone.</p>
		<ol class="mt-2 grid gap-0.5 text-[13px]">
			{#each statistics.products.slice(0, 8) as { key, title, histogram, score } (key)}
				<li>
					<button
						type="button"
						class="hover:bg-base-200 rounded-field flex w-full items-center gap-2 px-1.5 py-1 text-left"
						onclick={() => onproduct(key)}
						><span class="min-w-0 flex-1 truncate">{title}</span><span class="text-muted"
							>{roundedMean(histogram)?.toFixed(1)} from {countOf(histogram)}</span
						><span class="w-9 text-right font-mono" title="At least so good, with 95 % confidence"
							>{score.toFixed(2)}</span
						></button
					>
				</li>
			{/each}
		</ol>
	</section>
{/if}
