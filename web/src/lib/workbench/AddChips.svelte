<script lang="ts">
	import type { Leaf } from '@anbau/core/rules';
	import { otherLeaves } from './otherLeaves.js';
	import { counted } from '$lib/desk/words.js';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import type { Found } from '$lib/reach/protocol.js';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import { useSources } from '$lib/editor/sources.js';
	import ComparisonForm from './ComparisonForm.svelte';

	/** Adds conditions: one search over tags, categories, products and brands; it stays open for several picks. */
	interface Props {
		label: string;
		words: string;
		leaves: readonly Leaf[];
		onadd: (leaf: Leaf) => void;
	}
	let { label, words, leaves, onadd }: Props = $props();
	let open = $state(false);
	let text = $state('');
	const groups: [Found['field'], string][] = [
		['tag', 'Tags'],
		['category', 'Categories'],
		['product', 'Products'],
		['brand', 'Brands']
	];
	/** What the list adds, by the value that it has there. */
	let shown = new Map<string, Leaf>();
	const sources = useSources();

	async function search(asked: string) {
		// Read before the answer is waited for, so that the list is marked anew with every pick.
		const chosen = leaves;
		const found = await catalogIndex.ask('search', { text: asked, fields: groups.map(([field]) => field) });
		const others = otherLeaves(asked, sources.attributes());
		shown = new Map([
			...found.map((one) => [`${one.field} ${one.value}`, leafOf(one)] as const),
			...others.map(({ label: words, leaf }) => [words, leaf] as const)
		]);
		const ofCatalog = groups.flatMap(([field, group]) =>
			found
				.filter((one) => one.field === field)
				.map((one) => ({
					value: `${one.field} ${one.value}`,
					label: one.label,
					group,
					chosen: isIn(one, chosen),
					...(field === 'product' ? {} : { hint: counted(one.products, 'product') })
				}))
		);
		const rest = others.map(({ label: words, group, leaf }) => ({
			value: words,
			label: words,
			group,
			chosen: chosen.some((one) => JSON.stringify(one) === JSON.stringify(leaf))
		}));
		return [...ofCatalog, ...rest];
	}

	function leafOf({ field, value }: Found): Leaf {
		if (field === 'product') return { field, operator: 'in', value: [value] };
		return field === 'category' ? { field, operator: 'in', value } : { field, operator: 'is', value };
	}
	const isIn = (one: Found, chosen: readonly Leaf[]) =>
		chosen.some((leaf) =>
			leaf.field === 'product' && one.field === 'product'
				? leaf.value.includes(one.value)
				: JSON.stringify(leaf) === JSON.stringify(leafOf(one))
		);

	function take(value: string) {
		const leaf = shown.get(value);
		if (leaf) onadd(leaf);
	}
</script>

<Popover
	{label}
	bind:open
	triggerClass={words === '+'
		? 'btn btn-sm h-6 min-h-6 rounded-md px-2 align-middle font-bold'
		: 'btn btn-ghost btn-sm h-6 min-h-6 px-1.5 align-middle text-[14px] font-medium text-muted'}
	contentClass="w-[min(27rem,92vw)]"
>
	{#snippet trigger()}{words}{/snippet}
	<PickList
		label="Search tags, categories, products, brands, attributes, pages"
		placeholder="Tag, category, product, attribute or page"
		{search}
		bind:text
		onpick={({ value }) => take(value)}
	/>
	<div class="border-base-300 mt-2 border-t pt-2">
		<div class="text-muted mb-1.5 px-2 text-[12px] font-semibold">Compare a number</div>
		<ComparisonForm action="Add" onleaf={onadd} />
		<div class="mt-1.5 flex flex-wrap gap-1.5">
			<button type="button" class="btn btn-sm" onclick={() => onadd({ field: 'onSale', operator: 'is', value: true })}
				>on sale</button
			>
			<button
				type="button"
				class="btn btn-sm"
				onclick={() => onadd({ field: 'availability', operator: 'is', value: 'OutOfStock' })}>out of stock</button
			>
			{#if text.trim() !== ''}
				<button
					type="button"
					class="btn btn-sm max-w-full"
					onclick={() => onadd({ field: 'tag', operator: 'startsWith', value: text.trim() })}
					><span class="truncate">tag starts with {text.trim()}</span></button
				>
			{/if}
		</div>
	</div>
</Popover>
