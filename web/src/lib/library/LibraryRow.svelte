<script lang="ts">
	import { DropdownMenu } from 'bits-ui';
	import Ellipsis from '@lucide/svelte/icons/ellipsis';
	import { hookById } from '@anbau/core/pieces';
	import type { PieceView } from '$lib/contracts.js';
	import { timeWords } from '$lib/desk/words.js';
	import PlantLabel from '$lib/ui/PlantLabel.svelte';
	import ReachBar from '$lib/ui/ReachBar.svelte';
	import StateBadges from '$lib/ui/StateBadges.svelte';

	interface Props {
		piece: PieceView;
		total: number;
		zone: string;
		chosen: boolean;
		onchoose: (chosen: boolean) => void;
		onturn: (piece: PieceView, on: boolean) => void;
		onduplicate: (piece: PieceView) => void;
		onkeep: (piece: PieceView) => void;
		onremove: (piece: PieceView) => void;
		onbringback: (piece: PieceView) => void;
	}
	let { piece, total, zone, chosen, onchoose, onturn, onduplicate, onkeep, onremove, onbringback }: Props = $props();
	const removed = $derived(piece.state.publication === 'removed with the next release');
	const hooks = $derived(piece.placements.map((one) => hookById(one.hook)?.title ?? one.hook).join(', '));
	const item = 'rounded-field data-highlighted:bg-base-200 cursor-pointer px-3 py-1.5 outline-none';
</script>

<tr class={['border-base-300/60 hover:bg-base-200/60 border-b last:border-b-0', removed && 'opacity-70']}>
	<td class="py-2 pl-4">
		<input
			type="checkbox"
			class="checkbox checkbox-sm checkbox-primary align-middle"
			checked={chosen}
			aria-label={`Choose ${piece.name}`}
			onchange={(event) => onchoose(event.currentTarget.checked)}
		/>
	</td>
	<td class="max-w-80 px-3 py-2">
		<a href={`/library/${piece.slug}`} class="flex max-w-full" data-piece={piece.slug}
			><PlantLabel kind={piece.kind} text={piece.name} faded={!piece.on} /></a
		>
		<div class="mt-1 sm:hidden"><StateBadges state={piece.state} /></div>
	</td>
	<td class="text-muted max-w-60 truncate px-3 py-2 max-md:hidden" title={hooks}>{hooks || 'nowhere yet'}</td>
	<td class="px-3 py-2 max-sm:hidden">
		<div class="flex items-center gap-2">
			<div class="w-20"><ReachBar matched={piece.reach} {total} /></div>
			<span class="font-mono text-[13px] tabular-nums">{piece.reach}</span>
		</div>
	</td>
	<td class="px-3 py-2 max-sm:hidden"><StateBadges state={piece.state} /></td>
	<td class="text-muted px-3 py-2 text-[13px] whitespace-nowrap max-lg:hidden"
		>{timeWords(piece.updated, zone)} · {piece.updatedBy}</td
	>
	<td class="px-3 py-2 text-right">
		<input
			type="checkbox"
			class="toggle toggle-sm toggle-primary"
			checked={piece.on}
			aria-label={`${piece.name} is on`}
			onchange={(event) => onturn(piece, event.currentTarget.checked)}
		/>
	</td>
	<td class="pr-3 text-right">
		<DropdownMenu.Root>
			<DropdownMenu.Trigger class="btn btn-ghost btn-sm btn-square" aria-label={`More for ${piece.name}`}
				><Ellipsis class="size-4" /></DropdownMenu.Trigger
			>
			<DropdownMenu.Portal>
				<DropdownMenu.Content
					align="end"
					class="bg-base-100 border-base-300 shadow-float rounded-box z-50 min-w-44 border p-1"
				>
					<DropdownMenu.Item class={item} onSelect={() => onduplicate(piece)}>Duplicate</DropdownMenu.Item>
					<DropdownMenu.Item class={item} onSelect={() => onkeep(piece)}>Keep as a starter</DropdownMenu.Item>
					{#if removed}
						<DropdownMenu.Item class={item} onSelect={() => onbringback(piece)}>Keep it after all</DropdownMenu.Item>
					{:else}
						<DropdownMenu.Item class={`${item} text-error`} onSelect={() => onremove(piece)}>Delete</DropdownMenu.Item>
					{/if}
				</DropdownMenu.Content>
			</DropdownMenu.Portal>
		</DropdownMenu.Root>
	</td>
</tr>
