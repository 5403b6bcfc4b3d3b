<script lang="ts">
	import type { MediaPiece } from '@anbau/core/pieces';
	import MediaFields from '$lib/media/MediaFields.svelte';
	import HeadingField from './HeadingField.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** What a media piece shows, and its label where it hangs among the tabs. */
	let { piece, bench }: { piece: MediaPiece; bench: Workbench } = $props();
	const set = (change: Partial<MediaPiece['settings']>) =>
		bench.edit(Object.keys(change)[0] ?? 'settings', { ...piece, settings: { ...piece.settings, ...change } });
</script>

<div class="bg-base-100 border-base-300 rounded-box grid grid-cols-[minmax(0,1fr)] gap-3 border p-4 text-[13px]">
	<MediaFields settings={piece.settings} {set} />
	<HeadingField {piece} {bench} />
</div>
