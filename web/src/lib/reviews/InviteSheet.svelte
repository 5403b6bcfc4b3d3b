<script lang="ts">
	import X from '@lucide/svelte/icons/x';
	import { toast } from 'svelte-sonner';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import ProductPick from '$lib/ui/ProductPick.svelte';
	import Sheet from '$lib/ui/Sheet.svelte';

	/** Makes the links by which the customer of an order reviews what was bought. */
	let { onclose }: { onclose: () => void } = $props();
	let order = $state('');
	let products = $state.raw<{ value: string; label: string }[]>([]);
	let links = $state.raw<{ product: string; url: string }[]>([]);

	async function make() {
		try {
			const body = { order, products: products.map(({ value }) => value) };
			links = await request<typeof links>('/api/v1/reviews/invitations', { method: 'POST', body });
		} catch (error) {
			toast.error(sentenceOf(error));
		}
	}
	async function copy() {
		await navigator.clipboard.writeText(links.map(({ url }) => url).join('\n'));
		toast('The links are copied.');
	}
</script>

<Sheet title="Invite to review" narrow {onclose}>
	<p class="text-muted">
		Send these links to the customer of an order. What comes by them counts as a verified purchase, once for each
		product, for 90 days. Your shop can make them by itself through the API.
	</p>
	<label class="mt-3 grid gap-0.5"
		><span class="text-muted">Number of the order</span><input
			class="input input-sm w-48"
			maxlength="100"
			bind:value={order}
			oninput={() => (links = [])}
		/></label
	>
	<div class="mt-3 flex flex-wrap items-center gap-1.5">
		{#each products as one (one.value)}
			<span class="chip bg-plum-soft text-plum h-7 max-w-64"
				><span class="truncate">{one.label}</span><button
					type="button"
					class="cursor-pointer"
					aria-label={`Without ${one.label}`}
					onclick={() => ((products = products.filter(({ value }) => value !== one.value)), (links = []))}
					><X class="size-3.5" /></button
				></span
			>
		{/each}
		<ProductPick
			label="A product of the order"
			words="+ product"
			chosen={products.map(({ value }) => value)}
			onpick={({ value, label }) => {
				products = [...products.filter((one) => one.value !== value), { value, label }];
				links = [];
			}}
		/>
	</div>
	{#if links.length > 0}
		<textarea class="textarea mt-3 w-full font-mono text-[12px]" rows="4" readonly aria-label="Links"
			>{links.map(({ url }) => url).join('\n')}</textarea
		>
	{/if}
	{#snippet actions()}
		<button type="button" class="btn btn-sm" onclick={onclose}>Close</button>
		{#if links.length > 0}<button type="button" class="btn btn-primary btn-sm ml-auto" onclick={() => void copy()}
				>Copy</button
			>{:else}<button
				type="button"
				class="btn btn-primary btn-sm ml-auto"
				disabled={order.trim() === '' || products.length === 0}
				onclick={() => void make()}>Make the links</button
			>{/if}
	{/snippet}
</Sheet>
