<script lang="ts">
	import Peg from '$lib/ui/Peg.svelte';
	import type { PageKind } from '@anbau/core/catalog';
	import { hookTitle, type ThemeHook } from '@anbau/core/placement';
	import { drawingOf, hooksDrawn, type DrawnPart } from '$lib/hooks/drawing.js';

	/** Chooses a hook on a small drawing of a page, or by search. */
	interface Props {
		chosen: string | null;
		page: PageKind;
		hooks: readonly ThemeHook[];
		/** Whether the piece can hang there at all. */
		takes?: (hook: string) => boolean;
		onpick: (hook: string) => void;
	}
	let { chosen, page, hooks, takes = () => true, onpick }: Props = $props();
	const drawing = $derived(drawingOf(page, hooks));
	let text = $state('');
	const found = $derived(
		hooksDrawn(drawing).filter(
			(id) => takes(id) && `${id} ${hookTitle(id, hooks)}`.toLowerCase().includes(text.trim().toLowerCase())
		)
	);
</script>

{#snippet peg(id: string)}
	<button
		type="button"
		class={[
			'rounded-field flex w-full items-center gap-2 px-1.5 text-left text-[13px] leading-[21px]',
			chosen === id ? 'bg-moss-soft font-semibold' : 'hover:bg-base-200'
		]}
		title={id}
		onclick={() => onpick(id)}><Peg filled={chosen === id} />{hookTitle(id, hooks)}</button
	>
{/snippet}

{#snippet parts(list: readonly DrawnPart[])}
	{#each list as part (part.name)}
		{#if 'hook' in part}
			{@render peg(part.hook)}
		{:else}
			<div
				class={[
					'border-base-300 text-muted grid place-items-center rounded-md border border-dashed text-[12px]',
					part.tall ? 'min-h-24 flex-1' : 'h-5'
				]}
			>
				{part.name}
			</div>
		{/if}
	{/each}
{/snippet}

<input
	class="input input-sm mb-2 w-full"
	placeholder="Search: buy, title, tabs …"
	aria-label="Search hooks"
	bind:value={text}
	onkeydown={(event) => {
		const [first] = found;
		if (event.key === 'Enter' && first) onpick(first);
	}}
/>
{#if text.trim() === ''}
	<div class="bg-base-200/60 grid gap-0.5 rounded-md p-2">
		{@render parts(drawing.top)}
		<div class="grid gap-2 sm:grid-cols-2">
			<div class="flex flex-col gap-0.5">{@render parts(drawing.left)}</div>
			<div class="flex flex-col gap-0.5">{@render parts(drawing.right)}</div>
		</div>
		<div class="gap-2 sm:columns-2">{@render parts(drawing.bottom)}</div>
	</div>
{:else}
	<div class="grid gap-0.5">
		{#each found as id (id)}{@render peg(id)}{:else}<p class="text-muted px-2 py-1">No hook is called so.</p>{/each}
	</div>
{/if}
