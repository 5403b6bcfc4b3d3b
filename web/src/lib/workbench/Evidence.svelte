<script lang="ts">
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import ExternalLink from '@lucide/svelte/icons/external-link';
	import type { Product } from '@anbau/core/catalog';
	import type { Explanation, PageDocument } from '@anbau/core/placement';
	import type { Leafed, ReachSummary } from '$lib/reach/protocol.js';
	import { searchProducts } from '$lib/reach/searchProducts.js';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import PagePreview from './PagePreview.svelte';
	import Why from './Why.svelte';

	/** The right side of the workbench: a real product page that shows the piece or one that does not, and why. */
	interface Props {
		slug: string;
		shown: boolean;
		leafed: Leafed | null;
		product: Product | null;
		document: PageDocument | null;
		explanation: Explanation | null;
		summary: ReachSummary | null;
		onshown: (shown: boolean) => void;
		onleaf: (step: 1 | -1) => void;
		onlook: (product: string) => void;
		onmissing: (hooks: string[]) => void;
	}
	let { slug, shown, leafed, product, document, explanation, summary, onshown, onleaf, onlook, onmissing }: Props =
		$props();
	const widths = [
		['Desktop', 1180],
		['Tablet', 820],
		['Phone', 390]
	] as const;
	let width = $state<number>(820);
	const side = (active: boolean) => ['btn btn-sm h-8 whitespace-nowrap', active ? 'btn-primary' : 'bg-base-100'];
</script>

<div class="flex h-full min-h-[560px] flex-col gap-2.5 p-3 sm:p-4">
	<div class="flex flex-wrap items-center gap-2">
		<button
			class="btn btn-sm btn-square bg-base-100 h-8"
			aria-label="Product before"
			title="Product before, key ["
			onclick={() => onleaf(-1)}><ChevronLeft class="size-4" /></button
		>
		<Popover
			label="Look at another product"
			triggerClass="bg-base-100 border-base-300 rounded-field min-w-0 flex-1 cursor-pointer truncate border px-3 py-1 text-left font-semibold"
		>
			{#snippet trigger()}<span title={leafed?.title}>{leafed?.title ?? '—'}</span>{/snippet}
			{#snippet children(close)}
				<PickList label="Search products" search={searchProducts} onpick={({ value }) => (onlook(value), close())} />
			{/snippet}
		</Popover>
		<button
			class="btn btn-sm btn-square bg-base-100 h-8"
			aria-label="Next product"
			title="Next product, key ]"
			onclick={() => onleaf(1)}><ChevronRight class="size-4" /></button
		>
		<button class={side(shown)} aria-pressed={shown} onclick={() => onshown(true)}
			>Shown {summary?.matched ?? ''}</button
		>
		<button class={side(!shown)} aria-pressed={!shown} onclick={() => onshown(false)}
			>Not shown {summary ? summary.total - summary.matched : ''}</button
		>
	</div>
	{#if leafed && product && document}
		<PagePreview product={leafed.key} {document} focus={explanation?.shown ? slug : null} {width} {onmissing} />
	{:else}
		<div
			class="border-base-300 rounded-box bg-base-100 text-muted grid min-h-72 flex-1 place-items-center border p-8 text-center"
		>
			{#if summary === null}Reading the catalogue …{:else if shown}No product shows it yet. Say which products it
				reaches, and a real page of one appears here.{:else}There is no product that does not show it.{/if}
		</div>
	{/if}
	<div class="flex items-center gap-1 text-[13px]">
		{#each widths as [name, pixels] (name)}
			<button
				class={['btn btn-ghost btn-xs', width === pixels && 'bg-base-300/70']}
				aria-pressed={width === pixels}
				onclick={() => (width = pixels)}>{name}</button
			>
		{/each}
		<span class="text-muted ml-2 truncate">{leafed ? `${leafed.position + 1} of ${leafed.count}` : ''}</span>
		{#if product?.url}<a
				class="link ml-auto flex items-center gap-1 whitespace-nowrap"
				href={product.url}
				target="_blank"
				rel="noopener">The shop’s page<ExternalLink class="size-3.5" /></a
			>{/if}
	</div>
	{#if explanation}<Why {explanation} />{/if}
</div>
