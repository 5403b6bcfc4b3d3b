<script lang="ts">
	import ChevronDown from '@lucide/svelte/icons/chevron-down';
	import ChevronLeft from '@lucide/svelte/icons/chevron-left';
	import ChevronRight from '@lucide/svelte/icons/chevron-right';
	import { DEVICES } from '@anbau/core/pieces';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import { searchProducts } from '$lib/reach/searchProducts.js';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import type { Plan, PlannedKind } from './plan.svelte.js';
	import VisitorForm from './VisitorForm.svelte';
	import { visitorWords } from './visitorWords.js';

	/** Which page the plan shows, for whom, on what, when. */
	let { plan, articles, groups }: { plan: Plan; articles: string[]; groups: string[] } = $props();
	const kinds: Record<PlannedKind, string> = {
		product: 'Product page',
		category: 'Category page',
		article: 'Article'
	};
	const { kind } = $derived(plan.page);
	const chooser = 'btn btn-sm h-8 border-base-300 bg-base-100 font-semibold max-w-64';
	const item = 'rounded-field hover:bg-base-200 w-full px-2 py-1.5 text-left';

	async function choosePage(wanted: PlannedKind, close: () => void) {
		close();
		if (wanted === kind) return;
		const [first] = wanted === 'category' ? await searchCategories('') : articles.map((value) => ({ value }));
		await plan.lookAt(wanted, first?.value ?? null);
	}
	async function searchCategories(text: string) {
		await catalogIndex.ask('load', { version: null });
		const found = await catalogIndex.ask('search', { text, fields: ['category'] });
		return found.map(({ value, label }) => ({ value, label }));
	}
	const searchArticles = (text: string) => {
		const wanted = text.trim().toLowerCase();
		const known = articles.filter((key) => key.includes(wanted)).map((key) => ({ value: key, label: key }));
		return wanted === '' || articles.includes(wanted)
			? known
			: [...known, { value: text.trim(), label: `The article “${text.trim()}”` }];
	};
	const search = $derived(
		kind === 'product' ? searchProducts : kind === 'category' ? searchCategories : searchArticles
	);
	const deviceWords = { phone: 'Phone', tablet: 'Tablet', desktop: 'Desktop' };
</script>

<div class="flex flex-wrap items-center gap-2">
	<h1 class="font-display text-[19px] font-bold">
		<Popover label="Kind of page" triggerClass="cursor-pointer hover:underline" contentClass="w-48">
			{#snippet trigger()}{kinds[kind as PlannedKind]}{/snippet}
			{#snippet children(close)}
				{#each Object.entries(kinds) as [one, words] (one)}
					<button
						type="button"
						class={[item, one === kind && 'font-semibold']}
						onclick={() => void choosePage(one as PlannedKind, close)}>{words}</button
					>
				{/each}
			{/snippet}
		</Popover>
	</h1>
	<span class="text-muted">as</span>
	<Popover label="Which page" triggerClass={chooser} contentClass="w-80">
		{#snippet trigger()}<span class="truncate">{plan.title || 'choose'}</span><ChevronDown class="size-3.5" />{/snippet}
		{#snippet children(close)}
			<PickList
				label="Search"
				{search}
				onpick={({ value }) => (close(), void plan.lookAt(kind as PlannedKind, value))}
			/>
		{/snippet}
	</Popover>
	{#if kind === 'product'}
		<button
			class="btn btn-sm btn-square"
			aria-label="Product before"
			title="Product before  ["
			onclick={() => plan.leaf(-1)}><ChevronLeft class="size-4" /></button
		>
		<button class="btn btn-sm btn-square" aria-label="Next product" title="Next product  ]" onclick={() => plan.leaf(1)}
			><ChevronRight class="size-4" /></button
		>
	{/if}
	<span class="text-muted">for</span>
	<Popover label="Visitor" triggerClass={chooser} contentClass="w-72">
		{#snippet trigger()}<span class="truncate">{visitorWords(plan.visitor)}</span><ChevronDown
				class="size-3.5"
			/>{/snippet}
		<VisitorForm visitor={plan.visitor} {groups} onchange={(visitor) => (plan.visitor = visitor)} />
	</Popover>
	<span class="text-muted">on</span>
	<Popover label="Device" triggerClass={chooser} contentClass="w-40">
		{#snippet trigger()}{deviceWords[plan.device]}<ChevronDown class="size-3.5" />{/snippet}
		{#snippet children(close)}
			{#each DEVICES as device (device)}
				<button
					type="button"
					class={[item, device === plan.device && 'font-semibold']}
					onclick={() => ((plan.device = device), close())}>{deviceWords[device]}</button
				>
			{/each}
		{/snippet}
	</Popover>
	<span class="text-muted">at</span>
	<Popover label="Time" triggerClass={chooser} contentClass="w-72">
		{#snippet trigger()}{plan.at === null ? 'Now' : plan.at.replace('T', ' ')}<ChevronDown class="size-3.5" />{/snippet}
		{#snippet children(close)}
			<button
				type="button"
				class={[item, plan.at === null && 'font-semibold']}
				onclick={() => ((plan.at = null), close())}>Now</button
			>
			<label class="text-muted mt-2 grid gap-1 px-2 text-[13px]"
				>As of, in the store’s time
				<input
					type="datetime-local"
					class="input input-sm text-base-content w-full"
					value={plan.at}
					onchange={(event) => (plan.at = event.currentTarget.value || null)}
				/></label
			>
		{/snippet}
	</Popover>
</div>
