<script lang="ts">
	import { COMPARISONS, NUMBER_FIELDS, type Comparison, type NumberField, type NumberLeaf } from '@anbau/core/rules';
	import { NUMBER_WORDS } from './chips.js';

	/** Compares a number of the product: stock below 5, price between 100 and 200. */
	let {
		leaf = null,
		action,
		onleaf
	}: { leaf?: NumberLeaf | null; action: string; onleaf: (leaf: NumberLeaf) => void } = $props();

	const words: Record<Comparison, string> = {
		lt: 'below',
		lte: 'at most',
		gt: 'above',
		gte: 'at least',
		between: 'between'
	};
	let field = $derived<NumberField>(leaf?.field ?? 'stock');
	let operator = $derived<Comparison>(leaf?.operator ?? 'lt');
	let low = $derived(leaf ? String(leaf.operator === 'between' ? leaf.value[0] : leaf.value) : '');
	let high = $derived(leaf?.operator === 'between' ? String(leaf.value[1]) : '');
	const number = (text: string) =>
		/^-?\d+([.,]\d+)?$/.test(text.trim()) ? Number(text.trim().replace(',', '.')) : null;
	const problem = $derived.by(() => {
		if (low.trim() === '') return null;
		if (number(low) === null) return 'Write a number, like 5 or 49.90.';
		if (operator !== 'between' || high.trim() === '') return null;
		const [from, to] = [number(low), number(high)];
		if (to === null) return 'Write a number, like 5 or 49.90.';
		return from !== null && from > to ? 'The first number must be the lower one.' : null;
	});

	function submit(event: SubmitEvent) {
		event.preventDefault();
		const [from, to] = [number(low), number(high)];
		if (problem || from === null) return;
		if (operator !== 'between') onleaf({ field, operator, value: from });
		else if (to !== null) onleaf({ field, operator, value: [from, to] });
	}
</script>

<form class="grid gap-2" onsubmit={submit}>
	<div class="flex flex-wrap gap-1.5">
		<select class="select select-sm w-auto" aria-label="What is compared" bind:value={field}>
			{#each NUMBER_FIELDS as name (name)}<option value={name}>{NUMBER_WORDS[name]}</option>{/each}
		</select>
		<select class="select select-sm w-auto" aria-label="How it compares" bind:value={operator}>
			{#each COMPARISONS as name (name)}<option value={name}>{words[name]}</option>{/each}
		</select>
		<input
			class="input input-sm w-20"
			inputmode="decimal"
			aria-label="Number"
			bind:value={low}
			aria-invalid={problem !== null}
		/>
		{#if operator === 'between'}<input
				class="input input-sm w-20"
				inputmode="decimal"
				aria-label="and number"
				bind:value={high}
			/>{/if}
		<button class="btn btn-primary btn-sm" disabled={low.trim() === '' || problem !== null}>{action}</button>
	</div>
	{#if problem}<p class="text-error text-[13px]">{problem}</p>{/if}
</form>
