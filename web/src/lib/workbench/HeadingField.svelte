<script lang="ts">
	import type { Piece } from '@anbau/core/pieces';
	import TemplateField from '$lib/editor/parts/TemplateField.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** The heading of a piece that is one thing: its label where it hangs among the tabs. */
	let { piece, bench }: { piece: Piece; bench: Workbench } = $props();
</script>

<TemplateField
	label="Heading, which is its label where it hangs among the tabs"
	placeholder="none"
	class="w-96 max-w-full"
	value={piece.heading}
	onchange={(heading) => bench.edit('heading', { ...piece, heading })}
/>
