<script lang="ts">
	import type { MediaSettings } from '@anbau/core/pieces';
	import MediaFields from '$lib/media/MediaFields.svelte';
	import type { PartForm } from './partForm.js';

	/** A picture, a film or a foreign frame in a text. */
	let { part, set }: PartForm = $props();
</script>

<MediaFields settings={part.node.attrs as MediaSettings} {set} />
