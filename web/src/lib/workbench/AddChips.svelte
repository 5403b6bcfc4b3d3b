<script lang="ts">
	import Check from '@lucide/svelte/icons/check';
	import type { Leaf } from '@anbau/core/rules';
	import { counted } from '$lib/desk/words.js';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import type { Found } from '$lib/reach/protocol.js';
	import Popover from '$lib/ui/Popover.svelte';
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
	let found = $state.raw<Found[]>([]);
	let active = $state(0);
	/** The text that `found` answers, and whether Enter waits for the answer to what was typed. */
	let answered: string | null = null;
	let entering = false;
	const groups: [Found['field'], string][] = [
		['tag', 'Tags'],
		['category', 'Categories'],
		['product', 'Products'],
		['brand', 'Brands']
	];

	$effect(() => {
		if (!open) return;
		const asked = text;
		void catalogIndex.ask('search', { text: asked, fields: groups.map(([field]) => field) }).then((answer) => {
			if (asked !== text) return;
			found = answer;
			active = 0;
			answered = asked;
			if (entering) take();
		});
	});

	function leafOf({ field, value }: Found): Leaf {
		if (field === 'product') return { field, operator: 'in', value: [value] };
		return field === 'category' ? { field, operator: 'in', value } : { field, operator: 'is', value };
	}
	const isIn = (one: Found) =>
		leaves.some((leaf) =>
			leaf.field === 'product' && one.field === 'product'
				? leaf.value.includes(one.value)
				: JSON.stringify(leaf) === JSON.stringify(leafOf(one))
		);

	/** Takes what is active, of what the typed text finds. */
	function take() {
		entering = false;
		const one = found[active];
		if (one) onadd(leafOf(one));
	}

	function onkeydown(event: KeyboardEvent) {
		const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
		if (step) {
			event.preventDefault();
			active = (active + step + found.length) % Math.max(found.length, 1);
			document.getElementById(`found-${active}`)?.scrollIntoView({ block: 'nearest' });
		}
		if (event.key !== 'Enter') return;
		entering = true;
		if (answered === text) take();
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
	<input
		class="input input-sm mb-2 w-full"
		role="combobox"
		aria-expanded="true"
		aria-controls="found"
		aria-activedescendant={`found-${active}`}
		aria-label="Search tags, categories, products, brands"
		placeholder="Tag, category, product or brand"
		bind:value={text}
		{onkeydown}
	/>
	<div id="found" role="listbox" aria-label="Found" class="max-h-64 overflow-y-auto">
		{#each groups as [field, title] (field)}
			{#if found.some((one) => one.field === field)}
				<div role="group" aria-label={title}>
					<div class="text-muted px-2 pt-1.5 text-[12px] font-semibold">{title}</div>
					{#each found as one, i (one.field + one.value)}
						{#if one.field === field}
							<!-- svelte-ignore a11y_click_events_have_key_events -->
							<div
								id={`found-${i}`}
								role="option"
								tabindex="-1"
								aria-selected={isIn(one)}
								class={[
									'rounded-field flex cursor-pointer items-center gap-2 px-2 py-1',
									i === active && 'bg-base-200'
								]}
								onclick={() => onadd(leafOf(one))}
								onpointermove={() => (active = i)}
							>
								<span class="min-w-0 flex-1 truncate">{one.label}</span>
								{#if isIn(one)}<Check class="text-primary size-4" aria-label="chosen" />{/if}
								{#if one.field !== 'product'}<span class="text-muted text-[12px] whitespace-nowrap"
										>{counted(one.products, 'product')}</span
									>{/if}
							</div>
						{/if}
					{/each}
				</div>
			{/if}
		{:else}
			<p class="text-muted px-2">Nothing is called so.</p>
		{/each}
	</div>
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
