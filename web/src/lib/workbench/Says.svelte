<script lang="ts">
	import type { MessagePiece, TabPiece } from '@anbau/core/pieces';
	import SaysMessage from './SaysMessage.svelte';
	import SaysTab from './SaysTab.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** What a piece says, by its kind. */
	let { bench }: { bench: Workbench } = $props();
</script>

{#if bench.piece.kind === 'message'}
	<SaysMessage piece={bench.piece as MessagePiece} {bench} />
{:else}
	<SaysTab piece={bench.piece as TabPiece} {bench} />
{/if}
