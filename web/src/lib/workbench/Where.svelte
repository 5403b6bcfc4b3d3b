<script lang="ts">
	import Plus from '@lucide/svelte/icons/plus';
	import { nanoid } from 'nanoid';
	import { DEVICES, WIDTHS, hookById, type Device, type Placement } from '@anbau/core/pieces';
	import type { PageDocument } from '@anbau/core/placement';
	import { ordinal } from '$lib/desk/words.js';
	import Popover from '$lib/ui/Popover.svelte';
	import HookPicker from './HookPicker.svelte';
	import OrderList from './OrderList.svelte';
	import type { Workbench } from './workbench.svelte.js';

	/** Where a piece hangs, as one sentence a placement; each underlined word is a control. */
	let { bench, document }: { bench: Workbench; document: PageDocument | null } = $props();

	const widthWords = { column: 'its column', container: 'the page’s container', full: 'the whole window' };

	function hang(hook: string) {
		const isTab = hook === 'tabs';
		const placement: Placement = {
			id: nanoid(10),
			page: 'product',
			hook,
			priority: isTab ? 5 : 50,
			width: 'column',
			devices: [...DEVICES],
			since: new Date().toISOString()
		};
		bench.set('placements', { placements: [...bench.piece.placements, placement] });
	}

	/** The place in the order on the page looked at, counted from 1, and how many hang there. */
	function order({ hook, id }: Placement): { position: number; count: number } | null {
		const entries =
			hook === 'tabs' ? (document?.tabs.filter((tab) => !tab.hidden) ?? []) : (document?.hooks[hook] ?? []);
		const at = entries.findIndex((entry) => entry.piece === bench.slug && entry.placement === id);
		return at < 0 ? null : { position: at + 1, count: entries.length };
	}

	function toggle(i: number, devices: Device[], device: Device, checked: boolean) {
		const chosen = DEVICES.filter((one) => (one === device ? checked : devices.includes(one)));
		if (chosen.length > 0) bench.setPlacement(i, { devices: chosen });
	}
	const deviceWords = (devices: Device[]) => (devices.length === 3 ? 'any device' : devices.join(' and '));
	const remove = (i: number) =>
		bench.set('placements', { placements: bench.piece.placements.filter((_, at) => at !== i) });
</script>

<div class="grid gap-1.5 text-[16px] leading-8">
	{#each bench.piece.placements as placement, i (placement.id ?? i)}
		{@const place = order(placement)}
		<p>
			Hangs
			<Popover label="Hook" contentClass="w-[min(44rem,92vw)]">
				{#snippet trigger()}{hookById(placement.hook)?.title ?? placement.hook}{/snippet}
				{#snippet children(close)}<HookPicker
						chosen={placement.hook}
						onpick={(hook) => (bench.setPlacement(i, { hook }), close())}
					/>{/snippet}
			</Popover>,
			<Popover label="Place in the order" contentClass="w-80">
				{#snippet trigger()}{place
						? `${ordinal(place.position)} of ${place.count}`
						: `at number ${placement.priority}`}{/snippet}
				<OrderList
					{placement}
					{document}
					slug={bench.slug}
					onpriority={(priority) => bench.setPlacement(i, { priority })}
				/>
			</Popover>
			there <span class="text-muted font-mono text-[13px]">priority {placement.priority}</span>, {#if placement.hook !== 'tabs'}as
				wide as
				<Popover label="Width" contentClass="w-56">
					{#snippet trigger()}{widthWords[placement.width]}{/snippet}
					{#snippet children(close)}
						{#each WIDTHS as width (width)}
							<button
								type="button"
								class={[
									'rounded-field hover:bg-base-200 w-full px-2 py-1.5 text-left',
									placement.width === width && 'font-semibold'
								]}
								onclick={() => (bench.setPlacement(i, { width }), close())}>{widthWords[width]}</button
							>
						{/each}
					{/snippet}
				</Popover>,
			{/if}
			on
			<Popover label="Devices" contentClass="w-48">
				{#snippet trigger()}{deviceWords(placement.devices)}{/snippet}
				{#each DEVICES as device (device)}
					<label class="flex cursor-pointer items-center gap-2 px-2 py-1"
						><input
							type="checkbox"
							class="checkbox checkbox-sm checkbox-primary"
							checked={placement.devices.includes(device)}
							onchange={(event) => toggle(i, placement.devices, device, event.currentTarget.checked)}
						/>{device}</label
					>
				{/each}
			</Popover>.
			<button type="button" class="btn btn-ghost btn-xs text-muted align-middle" onclick={() => remove(i)}
				>Take it off</button
			>
		</p>
	{/each}
	<p>
		<Popover
			label={bench.piece.placements.length === 0 ? 'Choose where it hangs' : 'Hang it on another hook too'}
			triggerClass={bench.piece.placements.length === 0
				? 'word-control text-secondary'
				: 'btn btn-ghost btn-sm text-primary'}
			contentClass="w-[min(44rem,92vw)]"
		>
			{#snippet trigger()}{#if bench.piece.placements.length === 0}Choose where it hangs{:else}<Plus class="size-4" />On
					another hook too{/if}{/snippet}
			{#snippet children(close)}<HookPicker chosen={null} onpick={(hook) => (hang(hook), close())} />{/snippet}
		</Popover>
	</p>
</div>
