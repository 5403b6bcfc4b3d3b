<script lang="ts">
	import type { MessagePiece } from '@anbau/core/pieces';
	import QuietLine from './QuietLine.svelte';
	import SaysMedia from './SaysMedia.svelte';
	import SaysMessage from './SaysMessage.svelte';
	import SaysReviews from './SaysReviews.svelte';
	import SaysPanels from './SaysPanels.svelte';
	import StyleLine from './StyleLine.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** What a piece says, by its kind, how it looks, and where it stays away. */
	let { bench, onlook }: { bench: Workbench; onlook: (product: string) => void } = $props();
</script>

{#if bench.piece.kind === 'message'}
	<SaysMessage piece={bench.piece as MessagePiece} {bench} />
{:else if bench.piece.kind === 'media'}
	<SaysMedia piece={bench.piece} {bench} />
{:else if bench.piece.kind === 'reviews'}
	<SaysReviews piece={bench.piece} {bench} />
{:else}
	<SaysPanels piece={bench.piece} {bench} />
{/if}
<div class="mt-2 flex flex-wrap items-center gap-x-4 gap-y-1.5 text-[13px]">
	<StyleLine {bench} />
	<QuietLine {bench} {onlook} />
</div>
