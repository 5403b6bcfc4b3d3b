<script lang="ts">
	import type { PieceState } from '@anbau/core/pieces';
	import { publicationWords } from '$lib/desk/words.js';

	/** A piece's two states in the words that are used everywhere. */
	let { state }: { state: PieceState } = $props();
	const publicationLook = {
		live: 'bg-moss-soft text-primary',
		changed: 'bg-ochre-soft text-ochre',
		draft: 'bg-ochre-soft text-ochre',
		'removed with the next release': 'bg-terracotta-soft text-secondary'
	};
	const runningLook = {
		on: 'text-primary',
		off: 'text-secondary',
		waiting: 'text-ochre',
		ended: 'text-muted',
		'reaches nothing': 'text-secondary'
	};
</script>

<span class="inline-flex items-center gap-2 whitespace-nowrap">
	<span class={['chip', publicationLook[state.publication]]}>{publicationWords(state)}</span>
	{#if state.running !== 'on'}<span class={['text-[13px] font-medium', runningLook[state.running]]}
			>{state.running}</span
		>{/if}
</span>
