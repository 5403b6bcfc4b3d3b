<script lang="ts">
	import { isNumberLeaf, parseRule, isLeaf, type Leaf, type Names } from '@anbau/core/rules';
	import ComparisonForm from './ComparisonForm.svelte';

	/** Changes one condition: how it compares, and with what. */
	interface Props {
		leaf: Leaf;
		names: Names;
		onchange: (leaf: Leaf) => void;
		close: () => void;
	}
	let { leaf, names, onchange, close }: Props = $props();

	const OPERATORS: Record<string, [string, string][]> = {
		tag: [
			['is', 'the tag is'],
			['startsWith', 'a tag starts with'],
			['contains', 'a tag contains']
		],
		category: [
			['in', 'in it or anywhere below'],
			['only', 'directly in it']
		]
	};
	const operators = $derived(OPERATORS[leaf.field] ?? []);
	let text = $derived(leaf.field === 'tag' ? leaf.value : JSON.stringify(leaf.value));
	let problem = $state('');

	/** Takes the leaf in its changed form when it is one. */
	function change(property: 'operator' | 'value', value: unknown): boolean {
		const reading = parseRule({ ...leaf, [property]: value });
		problem = reading.ok ? '' : (reading.faults[0]?.message ?? '');
		if (reading.ok && isLeaf(reading.rule)) onchange(reading.rule);
		return reading.ok;
	}

	function readValue(): unknown {
		if (leaf.field === 'tag') return text;
		try {
			return JSON.parse(text) as unknown;
		} catch {
			return text;
		}
	}
</script>

{#if isNumberLeaf(leaf)}
	<ComparisonForm {leaf} action="Change" onleaf={(changed) => (onchange(changed), close())} />
{:else}
	{#if operators.length > 0}
		<fieldset class="mb-2 grid gap-1">
			<legend class="sr-only">How it compares</legend>
			{#each operators as [operator, words] (operator)}
				<label class="flex cursor-pointer items-center gap-2"
					><input
						type="radio"
						class="radio radio-sm radio-primary"
						name="operator"
						checked={leaf.operator === operator}
						onchange={() => change('operator', operator)}
					/>{words}</label
				>
			{/each}
		</fieldset>
	{/if}
	{#if leaf.field === 'product'}
		<ul class="grid gap-1">
			{#each leaf.value as key (key)}
				<li class="flex items-center gap-2">
					<span class="min-w-0 flex-1 truncate">{names.product(key) ?? key}</span>
					{#if leaf.value.length > 1}<button
							type="button"
							class="btn btn-ghost btn-xs"
							onclick={() => change('value', leaf.field === 'product' ? leaf.value.filter((one) => one !== key) : [])}
							>Take out</button
						>{/if}
				</li>
			{/each}
		</ul>
	{:else if leaf.field === 'onSale'}
		<label class="flex cursor-pointer items-center gap-2"
			><input
				type="checkbox"
				class="toggle toggle-sm toggle-primary"
				checked={leaf.value}
				onchange={(event) => change('value', event.currentTarget.checked)}
			/>on sale</label
		>
	{:else if leaf.field !== 'category'}
		<form
			class="flex gap-2"
			onsubmit={(event) => {
				event.preventDefault();
				if (change('value', readValue())) close();
			}}
		>
			<input class="input input-sm min-w-0 flex-1" aria-label="Value" bind:value={text} aria-invalid={problem !== ''} />
			<button class="btn btn-primary btn-sm">Change</button>
		</form>
	{/if}
	{#if problem}<p class="text-error mt-1 text-[13px]">The value {problem}.</p>{/if}
{/if}
