<script lang="ts">
	import { hooksOf } from '@anbau/core/pieces';
	import Peg from '$lib/ui/Peg.svelte';
	import { PAGE_PARTS, type PlanPart } from './pageParts.js';

	/** Chooses a hook on a small drawing of the product page, or by search. */
	let { chosen, onpick }: { chosen: string | null; onpick: (hook: string) => void } = $props();
	let text = $state('');
	const found = $derived(
		hooksOf('product').filter(({ id, title }) => `${id} ${title}`.toLowerCase().includes(text.trim().toLowerCase()))
	);
	const known = new Map(hooksOf('product').map((hook) => [hook.id, hook]));
</script>

{#snippet peg(id: string)}
	<button
		type="button"
		class={[
			'rounded-field flex w-full items-center gap-2 px-1.5 text-left text-[13px] leading-[21px]',
			chosen === id ? 'bg-moss-soft font-semibold' : 'hover:bg-base-200'
		]}
		title={id}
		onclick={() => onpick(id)}><Peg filled={chosen === id} />{known.get(id)?.title ?? id}</button
	>
{/snippet}

{#snippet parts(list: readonly PlanPart[])}
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
		if (event.key === 'Enter' && first) onpick(first.id);
	}}
/>
{#if text.trim() === ''}
	<div class="bg-base-200/60 grid gap-0.5 rounded-md p-2">
		{@render parts(PAGE_PARTS.top)}
		<div class="grid gap-2 sm:grid-cols-2">
			<div class="flex flex-col gap-0.5">{@render parts(PAGE_PARTS.left)}</div>
			<div class="flex flex-col gap-0.5">{@render parts(PAGE_PARTS.right)}</div>
		</div>
		<div class="gap-2 sm:columns-2">{@render parts(PAGE_PARTS.bottom)}</div>
	</div>
{:else}
	<div class="grid gap-0.5">
		{#each found as hook (hook.id)}{@render peg(hook.id)}{:else}<p class="text-muted px-2 py-1">
				No hook is called so.
			</p>{/each}
	</div>
{/if}
