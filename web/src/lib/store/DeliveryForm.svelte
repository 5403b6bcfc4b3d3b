<script lang="ts">
	import { earliestDelivery, formatValue, type DeliverySettings } from '@anbau/core/pieces';
	import type { StoreView } from '$lib/contracts.js';

	/** When the store sends; with what an order of now would be told. */
	interface Props {
		store: StoreView;
		faults: Record<string, string>;
		onchange: (delivery: DeliverySettings | null) => void;
	}
	let { store, faults, onchange }: Props = $props();
	const delivery = $derived(store.settings.delivery);
	const days = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
	const FIRST: DeliverySettings = {
		cutOff: '14:00',
		days: [1, 2, 3, 4, 5],
		holidays: [],
		leadDays: 1,
		leadTag: 'lead',
		leadAttribute: ''
	};
	const example = $derived(
		delivery && delivery.days.length > 0 ? earliestDelivery(Date.now(), store.zone, delivery, delivery.leadDays) : null
	);
	const set = (change: Partial<DeliverySettings>) => delivery && onchange({ ...delivery, ...change });
	const lines = (text: string) => text.split(/[\s,]+/).filter((line) => line !== '');
	const faultOf = (name: string) =>
		Object.entries(faults).find(([at]) => at.startsWith(`/settings/delivery/${name}`))?.[1];
</script>

<h2 class="text-[17px]">Delivery</h2>
{#if !delivery}
	<p class="text-muted mt-1">Pieces can say when an order leaves you, and how long today’s cut-off is away.</p>
	<button class="btn btn-sm mt-2" onclick={() => onchange(FIRST)}>Say when you send</button>
{:else}
	<div class="mt-2 grid gap-3 sm:grid-cols-2">
		<label class="grid gap-1"
			><span class="font-medium">Orders count from the day until</span><input
				type="time"
				class="input input-sm w-32"
				value={delivery.cutOff}
				onchange={(event) => set({ cutOff: event.currentTarget.value })}
			/>{#if faultOf('cutOff')}<span class="text-error text-[13px]">This {faultOf('cutOff')}.</span>{/if}</label
		>
		<label class="grid gap-1"
			><span class="font-medium">Usual lead time, in working days</span><input
				type="number"
				min="0"
				max="365"
				class="input input-sm w-24"
				value={delivery.leadDays}
				onchange={(event) => set({ leadDays: event.currentTarget.valueAsNumber || 0 })}
			/></label
		>
		<fieldset class="grid gap-1">
			<legend class="font-medium">Working days</legend>
			<div class="flex flex-wrap gap-1">
				{#each days as day, i (day)}
					<button
						type="button"
						class={['btn btn-xs', delivery.days.includes(i + 1) && 'bg-moss-soft text-primary']}
						aria-pressed={delivery.days.includes(i + 1)}
						onclick={() =>
							set({
								days: delivery.days.includes(i + 1)
									? delivery.days.filter((one) => one !== i + 1)
									: [...delivery.days, i + 1].sort()
							})}>{day}</button
					>
				{/each}
			</div>
			{#if faultOf('days')}<span class="text-error text-[13px]">This {faultOf('days')}.</span>{/if}
		</fieldset>
		<label class="grid gap-1"
			><span class="font-medium">A product’s own lead time is the rest of its tag</span><input
				class="input input-sm w-40"
				placeholder="lead"
				value={delivery.leadTag}
				onchange={(event) => set({ leadTag: event.currentTarget.value })}
			/></label
		>
		<label class="grid gap-1 sm:col-span-2"
			><span class="font-medium">Holidays, as 2027-12-24</span><textarea
				class="textarea textarea-sm field-sizing-content min-h-9 w-full font-mono text-[13px]"
				rows="1"
				value={delivery.holidays.join('\n')}
				onchange={(event) => set({ holidays: lines(event.currentTarget.value) })}
			></textarea>{#if faultOf('holidays')}<span class="text-error text-[13px]"
					>One of these {faultOf('holidays')}.</span
				>{/if}</label
		>
	</div>
	<p class="text-muted mt-3">
		{#if example}An order of now arrives on {formatValue(
				{ type: 'date', date: example.date },
				store.locale,
				'full'
			)}.{/if}
		<button class="link" onclick={() => onchange(null)}>Say nothing of delivery</button>
	</p>
{/if}
