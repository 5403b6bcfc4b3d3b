<script lang="ts">
	import { countOf, roundedMean, type Month } from '@anbau/core/reviews';
	import { drawTrend } from './trendChart.js';

	/** What came in month by month: how many as bars, the average as a line. */
	let { trend }: { trend: readonly Month[] } = $props();
	let box = $state<HTMLElement>();

	$effect(() => {
		if (!box) return;
		let isGone = false;
		let dispose: (() => void) | undefined;
		void drawTrend(box, trend).then((undo) => {
			if (isGone) undo();
			else dispose = undo;
		});
		return () => {
			isGone = true;
			dispose?.();
		};
	});
</script>

<div
	bind:this={box}
	class="h-40 w-full"
	role="img"
	aria-label="Reviews by month; the numbers stand in the table below for those who cannot see it"
></div>
<table class="sr-only">
	<thead><tr><th>Month</th><th>Reviews</th><th>Average</th></tr></thead>
	<tbody>
		{#each trend as { month, histogram } (month)}<tr
				><th>{month}</th><td>{countOf(histogram)}</td><td>{roundedMean(histogram) ?? '–'}</td></tr
			>{/each}
	</tbody>
</table>
