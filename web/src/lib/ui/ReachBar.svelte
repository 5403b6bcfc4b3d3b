<script lang="ts">
	import { counted } from '$lib/desk/words.js';

	/** A reach as a bar, with its number beside it. */
	let { matched, total, tall = false }: { matched: number; total: number; tall?: boolean } = $props();
	const share = $derived(total === 0 ? 0 : Math.max(matched > 0 ? 1.5 : 0, (100 * matched) / total));
</script>

<div
	class={['bg-base-300 w-full overflow-hidden rounded-full', tall ? 'h-2' : 'h-1.5']}
	role="img"
	aria-label={`${matched} of ${counted(total, 'product')}`}
>
	<div class="bg-primary h-full rounded-full transition-[width] duration-150" style:width={`${share}%`}></div>
</div>
