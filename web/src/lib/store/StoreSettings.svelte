<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import type { Style } from '@anbau/core/pieces';
	import type { FeedView, StoreView } from '$lib/contracts.js';
	import { request, RequestProblem, sentenceOf } from '$lib/desk/request.js';
	import { waitingCount } from '$lib/desk/waiting.svelte.js';
	import StyleForm from '$lib/ui/StyleForm.svelte';
	import DeliveryForm from './DeliveryForm.svelte';
	import LinksForm from './LinksForm.svelte';
	import FeedForm from './FeedForm.svelte';
	import { debounced } from '$lib/ui/debounced.js';

	/** What holds for the whole store: delivery, how long price and stock hold, the feed, and the look of all pieces. */
	let { store, feed }: { store: StoreView; feed: FeedView | null } = $props();
	// What is typed stays, saved or not.
	let shown = $derived(store);
	let faults = $state.raw<Record<string, string>>({});
	const settings = $derived(shown.settings);

	async function patch(change: { settings?: StoreView['settings']; style?: Style }) {
		shown = { ...shown, ...change };
		faults = {};
		try {
			shown = await request<StoreView>('/api/v1/store', { method: 'PATCH', body: change });
			await invalidateAll();
			void waitingCount.refresh();
		} catch (error) {
			if (error instanceof RequestProblem)
				faults = Object.fromEntries(error.faults.map(({ at, message }) => [at, message]));
			if (Object.keys(faults).length === 0) toast.error(sentenceOf(error));
		}
	}
	const saveStyle = debounced((style: Style) => void patch({ style }), 400);
	function restyle(style: Style) {
		shown = { ...shown, style };
		saveStyle(style);
	}
	const box = 'bg-base-100 border-base-300 rounded-box mt-4 border p-5';
</script>

<section class={box}>
	<DeliveryForm store={shown} {faults} onchange={(delivery) => patch({ settings: { ...settings, delivery } })} />
</section>
<section class={box}>
	<FeedForm {feed} zone={store.zone} onchanged={() => invalidateAll()} />
	<label class="border-base-300/60 mt-4 flex flex-wrap items-center gap-2 border-t pt-4">
		<span>Price and stock that were confirmed longer ago than</span>
		<input
			type="number"
			min="1"
			class="input input-sm w-20"
			placeholder="ever"
			value={settings.ageLimitHours ?? ''}
			onchange={(event) => {
				const hours = event.currentTarget.valueAsNumber;
				void patch({ settings: { ...settings, ageLimitHours: hours > 0 ? hours : null } });
			}}
		/>
		<span>hours count as missing. Acts at once.</span>
	</label>
</section>
<section class={box}>
	<LinksForm {settings} {faults} onchange={(change) => patch({ settings: { ...settings, ...change } })} />
</section>
<section class={box}>
	<h2 class="text-[17px]">Look of all pieces</h2>
	<p class="text-muted mt-1 mb-3">What is not set here is the theme’s. Public with the next release.</p>
	<div class="max-w-md"><StyleForm style={shown.style} onchange={restyle} /></div>
</section>
