<script lang="ts">
	import ArrowDown from '@lucide/svelte/icons/arrow-down';
	import ArrowUp from '@lucide/svelte/icons/arrow-up';
	import { formatMoney, type Category, type Product } from '@anbau/core/catalog';
	import type { Hanging } from '$lib/server/work/hanging.js';
	import PlantLabel from '$lib/ui/PlantLabel.svelte';

	interface Props {
		products: (Product & { hanging: Hanging[] })[];
		categories: Category[];
		locale: string;
		query: URLSearchParams;
		ask: (changes: Record<string, string | null>) => void;
	}
	let { products, categories, locale, query, ask }: Props = $props();
	const titles = $derived(new Map(categories.map(({ key, title }) => [key, title])));
	const sort = $derived(query.get('sort') ?? 'title');
	const descending = $derived(query.get('desc') === 'true');
	const price = ({ price: minor, currency }: Product) => (minor === null ? '—' : formatMoney(minor, currency, locale));
</script>

{#snippet head(name: string, words: string, classes: string)}
	<th
		class={['px-3 py-2 font-medium', classes]}
		aria-sort={sort === name ? (descending ? 'descending' : 'ascending') : 'none'}
	>
		<button
			class="inline-flex cursor-pointer items-center gap-1 hover:underline"
			onclick={() => ask({ sort: name, desc: String(sort === name && !descending) })}
		>
			{words}{#if sort === name}{#if descending}<ArrowDown class="size-3.5" />{:else}<ArrowUp
						class="size-3.5"
					/>{/if}{/if}
		</button>
	</th>
{/snippet}

<div class="bg-base-100 border-base-300 rounded-box mt-3 overflow-x-auto border">
	<table class="w-full border-collapse text-left">
		<thead class="text-muted border-base-300 border-b text-[13px]">
			<tr>
				{@render head('title', 'Product', 'pl-4')}
				<th class="px-3 py-2 font-medium max-lg:hidden">Category</th>
				<th class="px-3 py-2 font-medium max-md:hidden">Tags</th>
				{@render head('price', 'Price', 'text-right')}
				{@render head('stock', 'Stock', 'text-right')}
				<th class="px-3 py-2 font-medium max-sm:hidden">Hangs on it</th>
			</tr>
		</thead>
		<tbody>
			{#each products as product (product.key)}
				<tr class="border-base-300/60 hover:bg-base-200/60 border-b last:border-b-0">
					<td class="py-1.5 pl-4">
						<a
							href={`/catalog/${encodeURIComponent(product.key)}`}
							class="flex items-center gap-3 font-semibold hover:underline"
						>
							{#if product.images[0]}<img
									src={product.images[0]}
									alt=""
									class="bg-base-300 size-9 rounded-md object-cover"
									loading="lazy"
								/>{/if}
							<span
								>{product.title}{#if !product.visible}<span class="text-muted ml-2 text-[12px] font-normal">hidden</span
									>{/if}<span class="text-muted block font-mono text-[12px] font-normal"
									>{product.sku ?? product.key}</span
								></span
							>
						</a>
					</td>
					<td class="text-muted px-3 py-1.5 max-lg:hidden"
						>{product.categories.map((key) => titles.get(key) ?? key).join(', ')}</td
					>
					<td class="px-3 py-1.5 max-md:hidden">
						<span class="flex flex-wrap gap-1">
							{#each product.tags as tag (tag)}<button
									class="chip bg-ochre-soft text-ochre cursor-pointer"
									title={`Products tagged ${tag}`}
									onclick={() => ask({ tag })}>{tag}</button
								>{/each}
						</span>
					</td>
					<td class="px-3 py-1.5 text-right font-mono text-[13px] whitespace-nowrap tabular-nums">{price(product)}</td>
					<td
						class={[
							'px-3 py-1.5 text-right font-mono text-[13px] tabular-nums',
							product.stock === 0 && 'text-secondary'
						]}>{product.stock ?? '—'}</td
					>
					<td class="max-w-72 px-3 py-1.5 max-sm:hidden">
						<span class="flex flex-wrap gap-1">
							{#each product.hanging.slice(0, 2) as piece (piece.slug)}<a
									href={`/library/${piece.slug}?product=${encodeURIComponent(product.key)}`}
									class="max-w-44"
									><PlantLabel kind={piece.kind} text={piece.name} faded={!piece.on} withKind={false} /></a
								>{/each}
							{#if product.hanging.length > 2}<span class="text-muted self-center text-[13px]"
									>and {product.hanging.length - 2} more</span
								>{/if}
						</span>
					</td>
				</tr>
			{:else}
				<tr><td colspan="6" class="text-muted px-4 py-8 text-center">No product meets these filters.</td></tr>
			{/each}
		</tbody>
	</table>
</div>
