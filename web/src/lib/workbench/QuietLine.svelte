<script lang="ts">
	import { untrack } from 'svelte';
	import { liveValueLabel, type QuietAnswer } from '@anbau/core/pieces';
	import { request } from '$lib/desk/request.js';
	import { counted } from '$lib/desk/words.js';
	import { catalogIndex } from '$lib/reach/catalogIndex.js';
	import { useSources } from '$lib/editor/sources.js';
	import Popover from '$lib/ui/Popover.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** On how many of the products that it reaches the piece, or a part of it, stays away; a click looks at one. */
	let { bench, onlook }: { bench: Workbench; onlook: (product: string) => void } = $props();
	const sources = useSources();
	let answer = $state.raw<QuietAnswer | null>(null);
	let counting = $state(false);
	let titles = $state.raw<Record<string, string>>({});
	const PAUSE = 700;

	$effect(() => {
		const { piece, slug } = bench;
		const abort = new AbortController();
		const timer = setTimeout(() => {
			counting = true;
			request<QuietAnswer>('/api/v1/quiet', { method: 'POST', body: { slug, piece }, signal: abort.signal })
				.then(
					(found) => untrack(() => void take(found)),
					() => {
						// What cannot be saved yet cannot be counted either; the faults stand where they are.
						if (!abort.signal.aborted) answer = null;
					}
				)
				.finally(() => {
					if (!abort.signal.aborted) counting = false;
				});
		}, PAUSE);
		return () => (clearTimeout(timer), abort.abort());
	});

	async function take(found: QuietAnswer) {
		const products = [...found.awayFrom, ...found.parts.flatMap((part) => part.sample)];
		titles = (await catalogIndex.ask('names', { products: [...new Set(products)] })).products;
		answer = found;
	}
	const labelOf = (code: string) => sources.attributes().find((one) => one.code === code)?.label;
	const wanting = (values: string[]) => values.map((value) => liveValueLabel(value, labelOf)).join(', ');
</script>

{#snippet products(keys: string[], count: number)}
	<ul class="mt-1 grid">
		{#each keys.slice(0, 12) as key (key)}
			<li>
				<button
					type="button"
					class="rounded-field hover:bg-base-200 w-full truncate px-2 py-1 text-left"
					onclick={() => onlook(key)}>{titles[key] ?? key}</button
				>
			</li>
		{/each}
	</ul>
	{#if count > 12}<p class="text-muted px-2">and {count - 12} more</p>{/if}
{/snippet}

{#if counting && !answer}<span class="text-muted">Counting where it stays away …</span>{/if}
{#if answer && answer.checked > 0}
	{#if answer.away === 0 && answer.parts.length === 0}
		<span class="text-muted">Nothing of it stays away on {counted(answer.checked, 'product')}.</span>
	{:else}
		<Popover label="Where it stays away" triggerClass="word-control text-[13px]" contentClass="w-80">
			{#snippet trigger()}{answer?.away
					? `Stays away on ${counted(answer.away, 'product')}`
					: `A part stays away on ${counted(answer?.parts[0]?.products ?? 0, 'product')}`}{/snippet}
			{#if answer.away > 0}
				<p class="font-semibold">All of it, on {counted(answer.away, 'product')} of {answer.checked}</p>
				{@render products(answer.awayFrom, answer.away)}
			{/if}
			{#each answer.parts.slice(0, 8) as part (part.at)}
				<p class="mt-2">
					<b>{wanting(part.values) || 'A list that is empty'}</b>
					<span class="text-muted">missing on {counted(part.products, 'product')}</span>
				</p>
				{@render products(part.sample, part.products)}
			{/each}
		</Popover>
	{/if}
{/if}
