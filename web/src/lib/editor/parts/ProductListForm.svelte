<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import X from '@lucide/svelte/icons/x';
	import { LIST_SOURCES, type ListSource } from '@anbau/core/catalog';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import { searchProducts } from '$lib/reach/searchProducts.js';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import { useSources } from '../sources.js';
	import type { PartForm } from './partForm.js';
	import TemplateField from './TemplateField.svelte';

	/** Which products a list shows, how many, and its heading, which goes with it. */
	interface Attributes {
		source: ListSource;
		keys: string[];
		code: string | null;
		count: number;
		heading: string;
	}
	let { part, set }: PartForm = $props();
	const sources = useSources();
	const attrs = $derived(part.node.attrs as Attributes);
	const lists = $derived(sources.attributes().filter((one) => one.type === 'products'));
	let titles = $state.raw<Record<string, string>>({});
	const words: Record<ListSource, string> = {
		hand: 'chosen by hand',
		attribute: 'that an attribute names',
		newest: 'the newest',
		mostSold: 'the most sold',
		sameCategory: 'of the same category',
		recent: 'this visitor looked at'
	};

	$effect(() => {
		const products = attrs.keys.filter((key) => !(key in titles));
		if (products.length > 0)
			void catalogIndex.ask('names', { products }).then((found) => (titles = { ...titles, ...found.products }));
	});
	const toggle = (key: string) =>
		set({
			keys: attrs.keys.includes(key) ? attrs.keys.filter((one) => one !== key) : [...attrs.keys, key].slice(0, 50)
		});
</script>

<div class="flex flex-wrap items-end gap-3">
	<TemplateField label="Heading, gone with the list" value={attrs.heading} onchange={(heading) => set({ heading })} />
	<label class="grid gap-0.5"
		><span class="text-muted">Products</span><select
			class="select select-sm h-8 w-48"
			value={attrs.source}
			onchange={(event) => set({ source: event.currentTarget.value })}
		>
			{#each LIST_SOURCES as source (source)}<option value={source}>{words[source]}</option>{/each}
		</select></label
	>
	{#if attrs.source === 'attribute'}
		<label class="grid gap-0.5"
			><span class="text-muted">Attribute</span><select
				class="select select-sm h-8 w-44"
				value={attrs.code ?? ''}
				onchange={(event) => set({ code: event.currentTarget.value || null })}
			>
				<option value="">{lists.length === 0 ? 'none has the type Products yet' : 'choose one'}</option>
				{#each lists as { code, label } (code)}<option value={code}>{label}</option>{/each}
			</select></label
		>
	{/if}
	<label class="grid gap-0.5"
		><span class="text-muted">At most</span><input
			type="number"
			min="1"
			max="24"
			class="input input-sm h-8 w-20"
			value={attrs.count}
			oninput={(event) => {
				const count = event.currentTarget.valueAsNumber;
				if (count >= 1 && count <= 24) set({ count: Math.floor(count) });
			}}
		/></label
	>
</div>
{#if attrs.source === 'hand'}
	<div class="mt-2 flex flex-wrap items-center gap-1.5">
		{#each attrs.keys as key (key)}
			<span class="chip bg-plum-soft text-plum"
				>{titles[key] ?? key}<button
					type="button"
					aria-label={`Without ${titles[key] ?? key}`}
					onclick={() => toggle(key)}><X class="size-3.5" /></button
				></span
			>
		{/each}
		<Popover label="Choose products" triggerClass="btn btn-sm h-7">
			{#snippet trigger()}<Plus class="size-3.5" />Products{/snippet}
			<PickList
				label="Search products"
				search={searchProducts}
				chosen={attrs.keys}
				onpick={({ value }) => toggle(value)}
			/>
		</Popover>
	</div>
{/if}
