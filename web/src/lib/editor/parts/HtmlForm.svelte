<script lang="ts">
	import { sanitizeHtml } from '@anbau/core/pieces';
	import type { PartForm } from './partForm.js';

	/** HTML for those who need it; what is not safe is taken out when it is saved, and said here. */
	let { part, set }: PartForm = $props();
	const html = $derived(String(part.node.attrs.html));
	const { removed } = $derived(sanitizeHtml(html));
</script>

<label class="grid gap-0.5">
	<span class="text-muted">HTML</span>
	<textarea
		class="textarea textarea-sm field-sizing-content min-h-24 w-full font-mono text-[13px]"
		spellcheck="false"
		value={html}
		oninput={(event) => set({ html: event.currentTarget.value })}></textarea>
</label>
{#if removed.length > 0}
	<p role="status" class="text-error mt-1">Taken out, since it could run or reach out: {removed.join(', ')}.</p>
{/if}
