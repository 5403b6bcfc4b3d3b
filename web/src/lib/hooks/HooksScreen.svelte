<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import ExternalLink from '@lucide/svelte/icons/external-link';
	import Plus from '@lucide/svelte/icons/plus';
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { PAGE_KINDS, type PageKind } from '@anbau/core/catalog';
	import type { HousePart } from '@anbau/core/placement';
	import type { HookView, StoreView } from '$lib/contracts.js';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { timeWords } from '$lib/desk/words.js';
	import HookForm from './HookForm.svelte';
	import HouseParts from './HouseParts.svelte';
	import HookLine from './HookLine.svelte';

	/** The hooks of the store: where each was last seen in the shop, how it is bound, and the owner's own. */
	interface Props {
		data: {
			store: StoreView;
			hooks: HookView[];
			houseParts: HousePart[];
			used: Record<string, number>;
			chosen: string | null;
			picked: string | null;
			kind: string | null;
		};
	}
	let { data }: Props = $props();
	let chosen = $state(untrack(() => data.chosen));
	let making = $state(untrack(() => data.picked !== null && data.chosen === null));
	let looking = $state<AbortController | null>(null);
	const hook = $derived(data.hooks.find(({ id }) => id === chosen));
	const seen = $derived(
		data.hooks
			.flatMap(({ sightings }) => sightings.map((one) => one.seen))
			.sort()
			.at(-1)
	);
	const pickedKind = $derived(PAGE_KINDS.find((kind) => kind === data.kind) ?? 'product');
	const blank = (selector: string | null, kind: PageKind): HookView => ({
		id: '',
		title: '',
		pages: [kind],
		binding: selector === null ? null : { selector, position: 'after' },
		fallback: null,
		own: true,
		sightings: []
	});

	async function look() {
		looking = new AbortController();
		try {
			await request('/api/v1/hooks/look', { method: 'POST', signal: looking.signal });
			await invalidateAll();
		} catch (error) {
			if (!looking.signal.aborted) toast.error(sentenceOf(error));
		} finally {
			looking = null;
		}
	}
	async function openShop() {
		const shop = window.open('', '_blank');
		try {
			const { url } = await request<{ url: string }>('/api/v1/hooks/link', { method: 'POST' });
			if (shop) shop.location.href = url;
		} catch (error) {
			shop?.close();
			toast.error(sentenceOf(error));
		}
	}
	async function saved(id: string | null) {
		await invalidateAll();
		making = false;
		chosen = id;
	}
</script>

<main class="mx-auto max-w-[1240px] px-3 py-4 sm:px-5">
	<div class="flex flex-wrap items-center gap-3">
		<h1 class="text-[23px]">Hooks in the shop</h1>
		<span class="text-muted text-[13px]"
			>{seen ? `last looked at ${timeWords(seen, data.store.zone)}` : 'the shop has not been looked at yet'}</span
		>
		<span class="ml-auto flex flex-wrap gap-2">
			{#if looking}
				<span class="text-muted flex items-center gap-2 text-[13px]" role="status"
					><span class="loading loading-spinner loading-sm"></span>Reading sample pages …</span
				>
				<button class="btn btn-sm h-9" onclick={() => looking?.abort()}>Stop</button>
			{:else}
				<button class="btn btn-sm h-9" onclick={look}>Look at the shop now</button>
			{/if}
			<button class="btn btn-sm h-9" onclick={openShop}>Show hooks in the shop<ExternalLink class="size-3.5" /></button>
			<button class="btn btn-primary btn-sm h-9" onclick={() => ((making = true), (chosen = null))}
				><Plus class="size-4" />Own hook</button
			>
		</span>
	</div>
	<p class="text-muted mt-1">
		A hook is found by a marker in the theme, or by a CSS selector that is bound to it here. Bindings are public with
		the next release.
	</p>
	<div class="mt-4 grid items-start gap-4 lg:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
		<div class="grid gap-4">
			<section class="bg-base-100 border-base-300 rounded-box border px-2 py-2" aria-label="Hooks">
				<ul>
					{#each data.hooks as one (one.id)}
						<HookLine
							hook={one}
							pieces={data.used[one.id] ?? 0}
							chosen={one.id === chosen}
							onchoose={() => ((chosen = one.id), (making = false))}
						/>
					{/each}
				</ul>
			</section>
			<HouseParts parts={data.houseParts} hooks={data.hooks} />
		</div>
		<section
			class="bg-base-100 border-base-300 rounded-box border p-4 lg:sticky lg:top-16"
			aria-label="The chosen hook"
		>
			{#if making}
				<HookForm hook={blank(data.picked, pickedKind)} hooks={data.hooks} onsaved={saved} />
			{:else if hook}
				{#key hook.id}
					<HookForm
						hook={data.picked === null || hook.id !== data.chosen
							? hook
							: { ...hook, binding: { selector: data.picked, position: hook.binding?.position ?? 'after' } }}
						hooks={data.hooks}
						onsaved={saved}
					/>
				{/key}
			{:else}
				<h2 class="text-[17px]">Choose a hook</h2>
				<p class="text-muted mt-1">
					Its form shows where it was seen and how it is bound. A selector can be tried on sample pages before it is
					kept. Or open the shop with its hooks drawn in and click any element there.
				</p>
			{/if}
		</section>
	</div>
</main>
