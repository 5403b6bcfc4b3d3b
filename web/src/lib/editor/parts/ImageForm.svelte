<script lang="ts">
	import { srcFault } from '@anbau/core/pieces';
	import type { PartForm } from './partForm.js';
	import TemplateField from './TemplateField.svelte';

	let { part, set }: PartForm = $props();
	const { src, alt } = $derived(part.node.attrs as { src: string; alt: string | null });
</script>

<div class="flex flex-wrap gap-3">
	<TemplateField
		label="Address of the picture"
		value={src}
		fault={srcFault}
		class="w-80"
		onchange={(text) => set({ src: text })}
	/>
	<label class="grid gap-0.5"
		><span class="text-muted">What it shows, for those who cannot see it</span><input
			class="input input-sm h-8 w-64"
			value={alt ?? ''}
			oninput={(event) => set({ alt: event.currentTarget.value })}
		/></label
	>
</div>
