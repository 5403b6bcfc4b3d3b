<script lang="ts">
	import { STARS } from '@anbau/core/pieces';

	/** A rating as five stars, filled as far as it goes. */
	let { rating }: { rating: number } = $props();
</script>

<svg viewBox="0 0 120 24" class="h-4 w-20 shrink-0" role="img" aria-label={`${rating} of 5 stars`}>
	<path d={STARS} class="fill-base-300" />
	<svg width={24 * rating} height="24"><path d={STARS} class="fill-ochre" /></svg>
</svg>
