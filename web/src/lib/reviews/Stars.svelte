<script lang="ts">
	/** A rating as five stars, filled as far as it goes. */
	let { rating }: { rating: number } = $props();
	const STAR = 'l3 6.9 7.4.7-5.6 5 1.7 7.3-6.5-3.9-6.5 3.9 1.7-7.3-5.6-5 7.4-.7z';
	const path = [0, 1, 2, 3, 4].map((i) => `M${12 + 24 * i} 2${STAR}`).join('');
</script>

<svg viewBox="0 0 120 24" class="h-4 w-20 shrink-0" role="img" aria-label={`${rating} of 5 stars`}>
	<path d={path} class="fill-base-300" />
	<svg width={24 * rating} height="24"><path d={path} class="fill-ochre" /></svg>
</svg>
