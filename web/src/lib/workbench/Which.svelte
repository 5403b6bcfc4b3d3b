<script lang="ts">
	import { untrack } from 'svelte';
	import {
		describe,
		emptySentence,
		fromSentence,
		toSentence,
		type Joining,
		type Leaf,
		type Sentence
	} from '@anbau/core/rules';
	import type { ReachSummary } from '$lib/reach/protocol.js';
	import Popover from '$lib/ui/Popover.svelte';
	import AddChips from './AddChips.svelte';
	import Chip from './Chip.svelte';
	import { addLeaf } from './chips.js';
	import ReachBox from './ReachBox.svelte';
	import RuleText from './RuleText.svelte';
	import type { Surroundings } from './surroundings.svelte.js';
	import type { Workbench } from './workbench.svelte.js';

	/** Which products a piece reaches, as a sentence whose words and chips are controls. */
	let { bench, around, summary }: { bench: Workbench; around: Surroundings; summary: ReachSummary | null } = $props();

	let sentence = $state.raw<Sentence | null>(untrack(() => toSentence(bench.piece.target)));
	$effect(() => {
		const { target } = bench.piece;
		untrack(() => {
			// What was typed here keeps its shape; what came from elsewhere is read anew.
			if (!sentence || JSON.stringify(fromSentence(sentence)) !== JSON.stringify(target)) sentence = toSentence(target);
		});
	});

	function say(next: Sentence) {
		sentence = next;
		bench.set('target', { target: fromSentence(next) });
	}
	const scopes: [Sentence['scope'], string][] = [
		['some', 'products with …'],
		['every', 'every product'],
		['byHand', 'products only where it is shown by hand']
	];
	const choose = (scope: Sentence['scope']) => say(scope === 'some' ? emptySentence() : { scope });
	const goneLeaves = $derived(new Set((summary?.gone ?? []).map((one) => one.name)));
	const isGone = (leaf: Leaf) =>
		[leaf.value].flat().some((value) => typeof value === 'string' && goneLeaves.has(value));

	type Place = 'first' | 'also' | 'never';
	const leavesAt = (some: Extract<Sentence, { scope: 'some' }>, place: Place) =>
		place === 'never' ? some.never : some[place].leaves;
	function setLeaves(some: Extract<Sentence, { scope: 'some' }>, place: Place, leaves: Leaf[]) {
		say(place === 'never' ? { ...some, never: leaves } : { ...some, [place]: { ...some[place], leaves } });
		void around.learnNames(leaves.flatMap((leaf) => (leaf.field === 'product' ? leaf.value : [])));
	}
	const setJoining = (some: Extract<Sentence, { scope: 'some' }>, place: 'first' | 'also', joining: Joining) =>
		say({ ...some, [place]: { ...some[place], joining } });
</script>

{#snippet chips(some: Extract<Sentence, { scope: 'some' }>, place: Place, label: string, words = '+')}
	{@const leaves = leavesAt(some, place)}
	{#each leaves as leaf, i (JSON.stringify(leaf))}
		<Chip
			{leaf}
			names={around.names}
			gone={isGone(leaf)}
			onchange={(changed) =>
				setLeaves(
					some,
					place,
					leaves.map((one, at) => (at === i ? changed : one))
				)}
			onremove={() =>
				setLeaves(
					some,
					place,
					leaves.filter((_, at) => at !== i)
				)}
		/>
	{/each}
	<AddChips {label} {words} {leaves} onadd={(leaf) => setLeaves(some, place, addLeaf(leaves, leaf))} />
{/snippet}

{#snippet joining(some: Extract<Sentence, { scope: 'some' }>, place: 'first' | 'also')}
	{@const words = place === 'first' ? { any: 'with any of', all: 'with all of' } : { any: 'any', all: 'all' }}
	<button
		type="button"
		class="word-control"
		title="Switch between any and all"
		onclick={() => setJoining(some, place, some[place].joining === 'any' ? 'all' : 'any')}
		>{words[some[place].joining]}</button
	>
{/snippet}

<div class="text-[16px] leading-9" aria-live="off">
	Reaches
	<Popover
		label="Which products"
		contentClass="w-72"
		triggerClass={sentence?.scope === 'none' ? 'word-control text-secondary' : 'word-control'}
	>
		{#snippet trigger()}{#if sentence === null}products by a rule of its own{:else if sentence.scope === 'none'}nothing
				yet: choose{:else if sentence.scope === 'some'}products{:else}{scopes.find(
					([scope]) => scope === sentence?.scope
				)?.[1]}{/if}{/snippet}
		{#snippet children(close)}
			{#each scopes as [scope, words] (scope)}
				<button
					type="button"
					class={[
						'rounded-field hover:bg-base-200 w-full px-2 py-1.5 text-left',
						sentence?.scope === scope && 'font-semibold'
					]}
					onclick={() => (choose(scope), close())}>{words}</button
				>
			{/each}
		{/snippet}
	</Popover>
	{#if sentence === null && bench.piece.target}
		<p class="text-[15px] leading-6">{describe(bench.piece.target, around.names)}</p>
	{:else if sentence?.scope === 'some'}
		{@render joining(sentence, 'first')}
		{@render chips(sentence, 'first', 'Add what products have')}
		{#if sentence.also.leaves.length > 0}
			that also have
			{@render joining(sentence, 'also')} of
			{@render chips(sentence, 'also', 'Add what they also have')}
		{:else if sentence.first.leaves.length > 0}
			{@render chips(sentence, 'also', 'Add what they also have', 'and also …')}
		{/if}
		{#if sentence.never.length > 0}
			but never
			{@render chips(sentence, 'never', 'Add what they never are')}
		{:else}
			{@render chips(sentence, 'never', 'Add what they never are', 'but never …')}
		{/if}
	{/if}
</div>
<RuleText {bench} />
{#if bench.piece.target === null && sentence?.scope === 'some'}
	<p class="text-muted text-[13px]">Add a tag, a category, a product or a number; until then it reaches nothing.</p>
{:else if summary}
	<ReachBox {summary} />
{/if}
