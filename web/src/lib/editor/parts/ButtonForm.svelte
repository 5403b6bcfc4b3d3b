<script lang="ts">
	import { hrefFault } from '@anbau/core/pieces';
	import type { PartForm } from './partForm.js';
	import TemplateField from './TemplateField.svelte';

	let { part, set }: PartForm = $props();
	const { label, href } = $derived(part.node.attrs as { label: string; href: string });
</script>

<div class="flex flex-wrap gap-3">
	<TemplateField label="The button says" value={label} onchange={(text) => set({ label: text })} />
	<TemplateField
		label="Leads to"
		value={href}
		fault={hrefFault}
		placeholder={'/pages/ask?sku={product.sku}'}
		class="w-72"
		onchange={(text) => set({ href: text })}
	/>
</div>
