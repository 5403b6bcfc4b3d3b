<script lang="ts">
	import type { PageKind } from '@anbau/core/catalog';
	import { DEVICES, formOf, type Device, type PieceKind, type Placement } from '@anbau/core/pieces';
	import { entriesOn, hookTitle, type PageDocument, type ThemeHook } from '@anbau/core/placement';
	import { ordinal, PAGE_WORDS } from '$lib/desk/words.js';
	import Popover from '$lib/ui/Popover.svelte';
	import EdgeWords from './EdgeWords.svelte';
	import HookChoice from './HookChoice.svelte';
	import OrderList from './OrderList.svelte';
	import TextPlaceWords from './TextPlaceWords.svelte';
	import WidthWords from './WidthWords.svelte';

	/** One placement as a sentence: which page and hook, the place in the order, details that the hook needs, devices. */
	interface Props {
		placement: Placement;
		document: PageDocument | null;
		hooks: readonly ThemeHook[];
		nameOf: (slug: string) => string;
		kind: PieceKind;
		slug: string;
		fault: { at: string; message: string } | undefined;
		onmove: (page: PageKind, hook: string) => void;
		onchange: (change: Partial<Placement>) => void;
		onremove: () => void;
	}
	let { placement, document, hooks, nameOf, kind, slug, fault, onmove, onchange, onremove }: Props = $props();
	const form = $derived(formOf(placement.hook));
	/** The place in the order on the page looked at, counted from 1, and how many hang there. */
	const place = $derived.by(() => {
		if (!document || document.page.kind !== placement.page) return null;
		const entries = entriesOn(document, placement.hook);
		const at = entries.findIndex((entry) => entry.piece === slug && entry.placement === placement.id);
		return at < 0 ? null : { position: at + 1, count: entries.length };
	});

	function toggle(device: Device, checked: boolean) {
		const chosen = DEVICES.filter((one) => (one === device ? checked : placement.devices.includes(one)));
		if (chosen.length > 0) onchange({ devices: chosen });
	}
	const deviceWords = (devices: Device[]) => (devices.length === 3 ? 'any device' : devices.join(' and '));
</script>

<p>
	Hangs
	<Popover label="Hook" contentClass="w-[min(44rem,92vw)]">
		{#snippet trigger()}{hookTitle(placement.hook, hooks)}{/snippet}
		{#snippet children(close)}<HookChoice
				page={placement.page}
				chosen={placement.hook}
				{kind}
				{hooks}
				onpick={(page, hook) => (onmove(page, hook), close())}
			/>{/snippet}
	</Popover>{#if placement.page !== 'product'}
		of {PAGE_WORDS[placement.page].toLowerCase()}s{/if},
	{#if form === 'text'}<TextPlaceWords {placement} {onchange} />,{/if}
	<Popover label="Place in the order" contentClass="w-80">
		{#snippet trigger()}{place
				? `${ordinal(place.position)} of ${place.count}`
				: `at number ${placement.priority}`}{/snippet}
		<OrderList {placement} {document} {slug} {nameOf} onpriority={(priority) => onchange({ priority })} />
	</Popover>
	there <span class="text-muted font-mono text-[13px]">priority {placement.priority}</span>,
	{#if form === 'edge'}<EdgeWords {placement} {onchange} />,{:else if form !== 'tabs'}<WidthWords
			{placement}
			{onchange}
		/>,{/if}
	on
	<Popover label="Devices" contentClass="w-48">
		{#snippet trigger()}{deviceWords(placement.devices)}{/snippet}
		{#each DEVICES as device (device)}
			<label class="flex cursor-pointer items-center gap-2 px-2 py-1"
				><input
					type="checkbox"
					class="checkbox checkbox-sm checkbox-primary"
					checked={placement.devices.includes(device)}
					onchange={(event) => toggle(device, event.currentTarget.checked)}
				/>{device}</label
			>
		{/each}
	</Popover>.
	<button type="button" class="btn btn-ghost btn-xs text-muted align-middle" onclick={onremove}>Take it off</button>
</p>
{#if fault}<p class="text-error text-[13px] leading-5" role="alert">{fault.message}.</p>{/if}
