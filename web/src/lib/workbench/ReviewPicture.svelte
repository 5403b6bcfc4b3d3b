<script lang="ts">
	import type { ReviewForm } from '@anbau/core/pieces';

	/** A form of a review widget in small, drawn. */
	let { form }: { form: ReviewForm } = $props();
	const STAR = 'l1.6 3.4 3.7.4-2.8 2.5.8 3.6-3.3-1.9-3.3 1.9.8-3.6-2.8-2.5 3.7-.4z';
	const stars = (x: number, y: number) => [0, 1, 2, 3, 4].map((i) => `M${x + i * 11} ${y}${STAR}`).join('');
</script>

<svg viewBox="0 0 132 76" class="h-19 w-33" aria-hidden="true">
	<rect x=".5" y=".5" width="131" height="75" rx="5" class="fill-base-100 stroke-base-300" />
	{#if form === 'stars'}
		<rect x="10" y="14" width="82" height="8" rx="2" class="fill-base-content/70" />
		<path d={stars(15, 34)} class="fill-ochre" /><rect
			x="70"
			y="37"
			width="30"
			height="5"
			rx="2"
			class="fill-base-300"
		/>
		<rect x="10" y="54" width="104" height="4" rx="2" class="fill-base-300" />
		<rect x="10" y="62" width="88" height="4" rx="2" class="fill-base-300" />
	{:else if form === 'summary'}
		<text x="10" y="38" class="fill-base-content font-display" font-size="24" font-weight="700">4.6</text>
		<path d={stars(14, 48)} class="fill-ochre" transform="scale(.72) translate(4 18)" />
		{#each [56, 30, 10, 4, 6] as width, i (i)}
			<rect x="62" y={14 + i * 10} width="60" height="5" rx="2.5" class="fill-base-300" />
			<rect x="62" y={14 + i * 10} {width} height="5" rx="2.5" class="fill-ochre" />
		{/each}
	{:else if form === 'section'}
		<rect x="10" y="8" width="50" height="6" rx="2" class="fill-base-content/70" />
		<rect x="96" y="7" width="26" height="8" rx="3" class="fill-base-300" />
		{#each [22, 48] as y (y)}
			<path d={stars(14, y)} class="fill-ochre" transform={`scale(.8) translate(3 ${y * 0.25})`} />
			<rect x="10" {y} width="0" height="0" />
			<rect x="10" y={y + 12} width="108" height="4" rx="2" class="fill-base-300" />
			<rect x="10" y={y + 19} width="76" height="4" rx="2" class="fill-base-300" />
		{/each}
	{:else}
		{#each [8, 70] as x (x)}
			<rect {x} y="12" width="54" height="52" rx="4" class="fill-ochre-soft" />
			<path d={stars(x + 9, 20)} class="fill-ochre" transform={`translate(${x * 0.35} 8) scale(.65)`} />
			<rect x={x + 7} y="34" width="40" height="4" rx="2" class="fill-base-content/40" />
			<rect x={x + 7} y="42" width="32" height="4" rx="2" class="fill-base-content/40" />
			<rect x={x + 7} y="54" width="20" height="4" rx="2" class="fill-base-300" />
		{/each}
	{/if}
</svg>
