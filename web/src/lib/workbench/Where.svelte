<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { nanoid } from 'nanoid';
	import type { PageKind } from '@anbau/core/catalog';
	import { DEVICES, movedTo, type Placement } from '@anbau/core/pieces';
	import type { PageDocument, ThemeHook } from '@anbau/core/placement';
	import Popover from '$lib/ui/Popover.svelte';
	import HookChoice from './HookChoice.svelte';
	import PlacementSentence from './PlacementSentence.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** Where a piece hangs, as one sentence a placement; each underlined word is a control. */
	interface Props {
		bench: Workbench;
		document: PageDocument | null;
		hooks: readonly ThemeHook[];
		/** What stands on the page looked at, by the names of pieces. */
		nameOf: (slug: string) => string;
	}
	let { bench, document, hooks, nameOf }: Props = $props();
	const { placements } = $derived(bench.piece);

	function hang(page: PageKind, hook: string) {
		const placement: Placement = {
			id: nanoid(10),
			page,
			hook,
			priority: hook === 'tabs' ? 5 : 50,
			width: 'column',
			devices: [...DEVICES],
			since: new Date().toISOString()
		};
		bench.set('placements', { placements: [...placements, placement] });
	}
	function replace(i: number, placement: Placement) {
		bench.set(`placement ${i} hook`, { placements: placements.map((one, at) => (at === i ? placement : one)) });
	}
	const remove = (i: number) => bench.set('placements', { placements: placements.filter((_, at) => at !== i) });
</script>

<div class="grid gap-1.5 text-[16px] leading-8">
	{#each placements as placement, i (placement.id ?? i)}
		<PlacementSentence
			{placement}
			{document}
			{hooks}
			{nameOf}
			kind={bench.piece.kind}
			slug={bench.slug}
			fault={bench.faults.find(({ at }) => at.startsWith(`/placements/${i}/`))}
			onmove={(page, hook) => replace(i, { ...movedTo(placement, hook), page })}
			onchange={(change) => bench.setPlacement(i, change)}
			onremove={() => remove(i)}
		/>
	{/each}
	<p>
		<Popover
			label={placements.length === 0 ? 'Choose where it hangs' : 'Hang it on another hook too'}
			triggerClass={placements.length === 0 ? 'word-control text-secondary' : 'btn btn-ghost btn-sm text-primary'}
			contentClass="w-[min(44rem,92vw)]"
		>
			{#snippet trigger()}{#if placements.length === 0}Choose where it hangs{:else}<Plus class="size-4" />On another
					hook too{/if}{/snippet}
			{#snippet children(close)}<HookChoice
					page="product"
					chosen={null}
					kind={bench.piece.kind}
					{hooks}
					onpick={(page, hook) => (hang(page, hook), close())}
				/>{/snippet}
		</Popover>
	</p>
</div>
