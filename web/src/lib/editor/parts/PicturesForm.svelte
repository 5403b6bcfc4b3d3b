<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { srcFault } from '@anbau/core/pieces';
	import type { PartForm } from './partForm.js';
	import TemplateField from './TemplateField.svelte';

	interface Picture {
		src: string;
		alt: string | null;
	}
	let { part, set }: PartForm = $props();
	const pictures = $derived(part.node.attrs.pictures as Picture[]);
	const change = (i: number, of: Partial<Picture>) =>
		set({ pictures: pictures.map((one, at) => (at === i ? { ...one, ...of } : one)) });
</script>

<div class="grid gap-2">
	{#each pictures as picture, i (i)}
		<div class="flex flex-wrap items-end gap-2">
			<TemplateField
				label={`Address of picture ${i + 1}`}
				value={picture.src}
				fault={srcFault}
				class="w-72"
				onchange={(src) => change(i, { src })}
			/>
			<label class="grid gap-0.5"
				><span class="text-muted">What it shows</span><input
					class="input input-sm h-8 w-48"
					value={picture.alt ?? ''}
					oninput={(event) => change(i, { alt: event.currentTarget.value })}
				/></label
			>
			<button
				type="button"
				class="btn btn-ghost btn-sm btn-square"
				aria-label={`Remove picture ${i + 1}`}
				onclick={() => set({ pictures: pictures.filter((_, at) => at !== i) })}><X class="size-4" /></button
			>
		</div>
	{/each}
	<button
		type="button"
		class="btn btn-sm h-7 justify-self-start"
		onclick={() => set({ pictures: [...pictures, { src: '/', alt: '' }] })}><Plus class="size-3.5" />Picture</button
	>
</div>
