<script lang="ts">
	import { goto } from '$app/navigation';
	import ExternalLink from '@lucide/svelte/icons/external-link';
	import Plus from '@lucide/svelte/icons/plus';
	import { nanoid } from 'nanoid';
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { attributeText, formatMoney, isDocuments } from '@anbau/core/catalog';
	import { DEVICES, type PieceKind } from '@anbau/core/pieces';
	import { availabilityWords } from '@anbau/core/rules';
	import { blankPiece, createPiece } from '$lib/desk/newPiece.js';
	import { sentenceOf } from '$lib/desk/request.js';
	import { timeWords } from '$lib/desk/words.js';
	import ProductPlan from '$lib/catalog/ProductPlan.svelte';
	import { provideStoreSources } from '$lib/editor/storeSources.svelte.js';

	let { data } = $props();
	untrack(() => provideStoreSources(data.attributes, data.icons));
	const { product, store } = $derived(data);
	const money = (minor: number | null) => (minor === null ? null : formatMoney(minor, product.currency, store.locale));
	const values = $derived(
		[
			['Price', money(product.price)],
			['List price', money(product.listPrice)],
			['Stock', product.stock],
			['Availability', product.availability && availabilityWords(product.availability)],
			['Brand', product.brand],
			['SKU', product.sku],
			['Key', product.key],
			['Categories', data.categories.join(', ')],
			['Sold in 30 days', product.sold30],
			['In the shop since', product.created && timeWords(product.created, store.zone)],
			['Price and stock confirmed', product.freshness && timeWords(product.freshness, store.zone)],
			...Object.entries(product.attributes).map(([code, value]) => {
				const defined = data.attributes.find((one) => one.code === code);
				const text = isDocuments(value) ? value.map((one) => one.label).join(', ') : attributeText(value);
				return [
					defined?.label ?? code.replace(/_/g, ' '),
					`${text}${defined?.unit ? ` ${defined.unit}` : ''}`
				] as const;
			})
		].filter(([, value]) => value !== null && value !== '')
	);

	/** Makes a piece that reaches this product alone, already hung. */
	async function makeHere(kind: PieceKind) {
		try {
			const blank = blankPiece(kind);
			const hook = kind === 'tab' ? 'tabs' : 'above-buy';
			const slug = await createPiece({
				...blank,
				name: `${blank.name} · ${product.title}`.slice(0, 200),
				target: { field: 'product', operator: 'in', value: [product.key] },
				placements: [
					{
						id: nanoid(10),
						page: 'product',
						hook,
						priority: kind === 'tab' ? 5 : 50,
						width: 'column',
						devices: [...DEVICES]
					}
				]
			});
			await goto(`/library/${slug}?product=${encodeURIComponent(product.key)}`);
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
</script>

<svelte:head><title>{product.title} · Anbau</title></svelte:head>
<main class="mx-auto max-w-[1240px] px-3 py-4 sm:px-5">
	<a href="/catalog" class="link text-[13px]">Catalog</a>
	<div class="mt-1 flex flex-wrap items-center gap-3">
		<h1 class="text-[23px]">{product.title}</h1>
		{#if !product.visible}<span class="chip bg-base-300">hidden in the shop</span>{/if}
		{#if product.url}<a
				href={product.url}
				target="_blank"
				rel="noopener"
				class="link flex items-center gap-1 text-[13px]">The shop’s page<ExternalLink class="size-3.5" /></a
			>{/if}
		<span class="ml-auto flex gap-2">
			<button class="btn btn-primary btn-sm h-9" onclick={() => makeHere('tab')}
				><Plus class="size-4" />New tab just here</button
			>
			<button class="btn btn-sm h-9" onclick={() => makeHere('message')}
				><Plus class="size-4" />New message just here</button
			>
		</span>
	</div>
	<div class="mt-4 grid items-start gap-4 md:grid-cols-[minmax(0,1fr)_minmax(0,1.3fr)]">
		<section class="bg-base-100 border-base-300 rounded-box border p-4">
			<div class="flex gap-4">
				{#if product.images[0]}<img
						src={product.images[0]}
						alt=""
						class="bg-base-300 size-28 rounded-md object-cover"
					/>{/if}
				<div>
					<p>{product.summary}</p>
					<p class="mt-2 flex flex-wrap gap-1">
						{#each product.tags as tag (tag)}<a
								class="chip bg-ochre-soft text-ochre"
								href={`/catalog?tag=${encodeURIComponent(tag)}`}>{tag}</a
							>{/each}
					</p>
				</div>
			</div>
			<dl class="mt-4">
				{#each values as [label, value] (label)}
					<div class="border-base-300/60 grid grid-cols-[11rem_1fr] gap-2 border-t py-1.5">
						<dt class="text-muted">{label}</dt>
						<dd class="break-words">{value}</dd>
					</div>
				{/each}
			</dl>
			<p class="mt-3">
				<a class="link" href={`/attributes?q=${encodeURIComponent(product.title)}`}>Fill its attributes in the sheet</a>
			</p>
		</section>
		{#key product.key}<ProductPlan {data} product={product.key} />{/key}
	</div>
</main>
