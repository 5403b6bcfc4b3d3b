<script lang="ts">
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import type { Product } from '@anbau/core/catalog';
	import { bodiesOf, partsOf, textsOf } from '@anbau/core/pieces';
	import { exceptionWords, type Exception, type Hung } from '@anbau/core/placement';
	import type { ExceptionView, PieceView } from '$lib/contracts.js';
	import Popover from '$lib/ui/Popover.svelte';
	import type { ExceptionList } from './exceptionList.svelte.js';
	import OwnProducts from './OwnProducts.svelte';
	import OwnText from './OwnText.svelte';

	/** How one product can deviate in what hangs on its page. */
	interface Props {
		list: ExceptionList;
		product: Product;
		one: Pick<Hung, 'name' | 'priority' | 'subject'>;
		/** The piece; undefined for a tab of the theme's own. */
		piece: PieceView | undefined;
		/** What the product has of its own already. */
		own: ExceptionView[];
		isHere: boolean;
		onremove?: (() => void) | undefined;
	}
	let { list, product, one, piece, own, isHere, onremove }: Props = $props();
	const item = 'rounded-field hover:bg-base-200 flex w-full px-2 py-1.5 text-left';
	const about = $derived('piece' in one.subject ? { piece: one.subject.piece } : { houseTab: one.subject.houseTab });
	const panels = $derived(piece ? textsOf(piece) : []);
	const hasList = $derived(
		piece !== undefined &&
			bodiesOf(piece).some(({ body }) => [...partsOf(body)].some(({ part }) => part.type === 'productList'))
	);
	let text = $state<{ panel: string | null } | null>(null);
	let products = $state<{ panel: string | null } | null>(null);

	function byHand(mode: 'hide' | 'show') {
		void list.put({ product: product.key, ...about, mode } as Exception);
	}
	function setNumber(priority: number) {
		if (!Number.isInteger(priority) || priority < 1 || priority > 999) return;
		const where = 'piece' in one.subject ? { placement: one.subject.placement.id } : {};
		void list.put({ product: product.key, ...about, mode: 'priority', priority, ...where } as Exception);
	}
</script>

<Popover
	label={`On this product: ${one.name}`}
	triggerClass="btn btn-ghost btn-sm btn-square text-muted"
	contentClass="w-72"
>
	{#snippet trigger()}<Ellipsis class="size-4" />{/snippet}
	{#snippet children(close)}
		<p class="text-muted px-2 pb-1 text-[12px] font-semibold">Only on {product.title}</p>
		{#each own as row (row.id)}
			<button type="button" class={item} onclick={() => (close(), void list.drop(row))}
				>Follow the library again: {exceptionWords(row.exception)}</button
			>
		{/each}
		{#if isHere}
			<button type="button" class={item} onclick={() => (close(), byHand('hide'))}>Hide it here</button>
		{:else if piece}
			<button type="button" class={item} onclick={() => (close(), byHand('show'))}>Show it here</button>
		{/if}
		{#each panels as { panel, heading } (panel)}
			<button type="button" class={item} onclick={() => (close(), (text = { panel }))}
				>Own text here{panels.length > 1 ? `: ${heading}` : ''} …</button
			>
			{#if hasList}<button type="button" class={item} onclick={() => (close(), (products = { panel }))}
					>Own products in its list{panels.length > 1 ? `: ${heading}` : ''} …</button
				>{/if}
		{/each}
		<label class="flex items-center gap-2 px-2 py-1"
			>Own number here <input
				class="input input-sm w-16 font-mono"
				inputmode="numeric"
				value={one.priority}
				onchange={(event) => (setNumber(Number(event.currentTarget.value)), close())}
			/></label
		>
		{#if onremove}
			<p class="text-muted border-base-300 mt-1 border-t px-2 pt-2 pb-1 text-[12px] font-semibold">On every page</p>
			<button type="button" class={item} onclick={() => (close(), onremove())}>Take it off this hook</button>
		{/if}
	{/snippet}
</Popover>
{#if text && piece}
	<OwnText {list} {product} {piece} panel={text.panel} onclose={() => (text = null)} />
{/if}
{#if products && piece}
	<OwnProducts {list} {product} {piece} panel={products.panel} onclose={() => (products = null)} />
{/if}
