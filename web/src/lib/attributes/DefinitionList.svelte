<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import type { AttributesView } from '$lib/contracts.js';
	import { ATTRIBUTE_TYPE_WORDS, counted } from '$lib/desk/words.js';

	/** The definitions with how full each is, and codes that the catalogue has and nobody defined. */
	interface Props {
		view: AttributesView;
		onopen: (code: string) => void;
		onnew: (code: string) => void;
		onmissing: (code: string) => void;
	}
	let { view, onopen, onnew, onmissing }: Props = $props();
</script>

<div class="flex items-center gap-2">
	<h1 class="text-[23px]">Attributes</h1>
	<button class="btn btn-primary btn-sm ml-auto h-8" onclick={() => onnew('')}><Plus class="size-4" />New</button>
</div>
<ul class="mt-3 grid grid-cols-[minmax(0,1fr)] gap-0.5">
	{#each view.attributes as { code, label, type, unit, of, required, fullness } (code)}
		{@const lacks = fullness.applies - fullness.filled}
		<li class="border-base-300/60 border-b py-1.5 last:border-b-0">
			<div class="flex items-baseline gap-2">
				<button class="min-w-0 truncate text-left font-semibold hover:underline" onclick={() => onopen(code)}
					>{label}</button
				>
				<span class="text-muted ml-auto text-[13px] whitespace-nowrap"
					>{ATTRIBUTE_TYPE_WORDS[type]}{unit ? `, ${unit}` : ''}{of === 'category' ? ' · categories' : ''}</span
				>
			</div>
			<div class="mt-1 flex items-center gap-2 text-[13px]">
				<span class="bg-base-300 h-1.5 w-20 overflow-hidden rounded-full" aria-hidden="true"
					><span
						class="bg-primary block h-full"
						style:width={`${fullness.applies === 0 ? 0 : (100 * fullness.filled) / fullness.applies}%`}
					></span></span
				>
				<span class="font-mono tabular-nums">{fullness.filled}/{fullness.applies}</span>
				{#if lacks > 0}
					<button class={['link', required && 'text-error']} onclick={() => onmissing(code)}
						>{required ? `required, ${lacks} missing` : `${lacks} missing`}</button
					>
				{/if}
			</div>
		</li>
	{:else}
		<li class="text-muted py-3">
			An attribute is a named extra value of products or categories: a material, a sowing depth, manuals. Define it
			once, fill it in the sheet, and let pieces say it.
		</li>
	{/each}
</ul>
{#if view.undefinedCodes.length > 0}
	<h2 class="mt-4 text-[15px]">In the catalogue, not defined</h2>
	<ul class="mt-1 grid grid-cols-[minmax(0,1fr)] gap-1 text-[13px]">
		{#each view.undefinedCodes as { code, values, sample } (code)}
			<li class="flex items-center gap-2">
				<code>{code}</code>
				<span class="text-muted min-w-0 truncate">{counted(values, 'value')}, like “{sample}”</span>
				<button class="btn btn-xs ml-auto" onclick={() => onnew(code)}>Define</button>
			</li>
		{/each}
	</ul>
{/if}
