<script lang="ts">
	import type { PartForm } from './partForm.js';

	/** Code of others, which runs only in a frame that knows nothing of the shop. */
	let { part, set }: PartForm = $props();
	const attrs = $derived(part.node.attrs as { title: string; code: string; height: number });
</script>

<div class="grid gap-2">
	<div class="flex flex-wrap gap-3">
		<label class="grid gap-0.5"
			><span class="text-muted">What it is, for those who cannot see it</span><input
				class="input input-sm h-8 w-64"
				value={attrs.title}
				oninput={(event) => set({ title: event.currentTarget.value || 'Snippet' })}
			/></label
		>
		<label class="grid gap-0.5"
			><span class="text-muted">Height</span><input
				type="number"
				min="40"
				max="2000"
				class="input input-sm h-8 w-24"
				value={attrs.height}
				oninput={(event) => {
					const height = event.currentTarget.valueAsNumber;
					if (height >= 40 && height <= 2000) set({ height: Math.floor(height) });
				}}
			/></label
		>
	</div>
	<label class="grid gap-0.5"
		><span class="text-muted">The code, as its maker gave it</span><textarea
			class="textarea textarea-sm field-sizing-content min-h-24 w-full font-mono text-[13px]"
			spellcheck="false"
			value={attrs.code}
			oninput={(event) => set({ code: event.currentTarget.value })}></textarea></label
	>
	<p class="text-muted">
		Runs in a sandboxed frame without the shop’s cookies, basket or address; shown on the shop’s page once it is
		published.
	</p>
</div>
