<script lang="ts">
	import { exceptionWords, type Hung } from '@anbau/core/placement';
	import HereMenu from '$lib/exceptions/HereMenu.svelte';
	import PlantLabel from '$lib/ui/PlantLabel.svelte';
	import type { Moving } from './moving.svelte.js';
	import type { Plan } from './plan.svelte.js';

	/** Something on the chosen hook: its number to type, its label, how many products it reaches, and why it is away. */
	interface Props {
		plan: Plan;
		moving: Moving;
		one: Hung;
		/** Why it is not on this page; absent where it is. */
		reason?: string;
		onopen: (one: Hung) => void;
	}
	let { plan, moving, one, reason, onopen }: Props = $props();
	const view = $derived('piece' in one.subject ? plan.pieces[one.subject.piece] : undefined);
	/** What is being typed; it stays whatever comes from the server meanwhile. */
	let typed = $state<string | null>(null);
	const number = $derived(typed ?? String(one.priority));
	const isGood = $derived(/^\d{1,3}$/.test(number) && Number(number) >= 1);

	function take() {
		if (!isGood) return;
		const wanted = Number(number);
		typed = null;
		if (wanted !== one.priority) moving.renumber(one, wanted);
	}
	const own = $derived(
		plan.page.kind === 'product'
			? plan.exceptions.rows.filter((row) => row.exception.product === plan.page.key && isOf(row.exception))
			: []
	);
	function isOf(exception: (typeof plan.exceptions.rows)[number]['exception']): boolean {
		if ('houseTab' in one.subject) return 'houseTab' in exception && exception.houseTab === one.subject.houseTab;
		return 'piece' in exception && exception.piece === one.subject.piece;
	}
</script>

<div class="flex items-center gap-2">
	<input
		class={['input input-sm w-14 px-2 text-center font-mono', reason !== undefined && 'opacity-70']}
		inputmode="numeric"
		aria-label={`Number of ${one.name}`}
		aria-invalid={!isGood}
		value={number}
		oninput={(event) => (typed = event.currentTarget.value.trim())}
		onchange={take}
	/>
	<button
		type="button"
		class={['min-w-0 flex-1 cursor-grab text-left', reason !== undefined && 'opacity-70']}
		draggable="true"
		ondragstart={(event) => {
			event.dataTransfer?.setData('text/plain', one.name);
			moving.dragged = one;
		}}
		ondragend={() => (moving.dragged = null)}
		onclick={() => onopen(one)}
		onkeydown={(event) => {
			const by = { ArrowUp: -1, ArrowDown: 1 }[event.key];
			if (!by || reason !== undefined) return;
			event.preventDefault();
			moving.step(one, by as 1 | -1);
		}}><PlantLabel kind={one.kind} text={one.name} wide /></button
	>
	{#if view && plan.page.kind === 'product'}<span class="text-muted font-mono text-[12px]" title="Products it reaches"
			>{view.reach}</span
		>{/if}
	{#if plan.page.kind === 'product' && plan.product}
		<HereMenu
			list={plan.exceptions}
			product={plan.product}
			{one}
			piece={view}
			{own}
			isHere={reason === undefined}
			onremove={view && 'piece' in one.subject
				? () => view && 'piece' in one.subject && void moving.takeOff(view, one.subject.placement.id)
				: undefined}
		/>
	{/if}
</div>
{#if !isGood}<p class="text-error mt-1 ml-16 text-[13px]" role="alert">A whole number from 1 to 999.</p>{/if}
{#if reason !== undefined}
	<p class="text-muted mt-0.5 ml-16 text-[13px]">{reason || 'not on this page'}</p>
{/if}
{#if own.length > 0}
	<p class="mt-0.5 ml-16 flex flex-wrap gap-1">
		{#each own as row (row.id)}<span class="chip bg-terracotta-soft text-base-content"
				>on this product: {exceptionWords(row.exception)}</span
			>{/each}
	</p>
{/if}
