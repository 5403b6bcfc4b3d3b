<script lang="ts">
	import type { PageKind } from '@anbau/core/catalog';
	import { request, sentenceOf } from '$lib/desk/request.js';

	/** What a selector finds on sample pages of the shop, tried as it is typed. */
	let { selector, pages }: { selector: string; pages: readonly PageKind[] } = $props();
	interface Trial {
		url: string;
		kind: PageKind;
		found: number;
	}
	let trials = $state.raw<Trial[] | null>(null);
	let problem = $state('');
	let busy = $state(false);

	$effect(() => {
		const wanted = selector.trim();
		trials = null;
		problem = '';
		if (wanted === '') return;
		const abort = new AbortController();
		const timer = setTimeout(() => void attempt(wanted, abort.signal), 500);
		return () => {
			clearTimeout(timer);
			abort.abort();
		};
	});
	async function attempt(wanted: string, signal: AbortSignal) {
		busy = true;
		try {
			trials = await request<Trial[]>('/api/v1/hooks/try', { method: 'POST', body: { selector: wanted }, signal });
		} catch (error) {
			if (!signal.aborted) problem = sentenceOf(error);
		} finally {
			busy = false;
		}
	}
	const ofKinds = $derived(trials?.filter(({ kind }) => pages.includes(kind)) ?? []);
	const once = $derived(ofKinds.filter(({ found }) => found === 1).length);
	const none = $derived(ofKinds.filter(({ found }) => found === 0).length);
	const most = $derived(Math.max(0, ...ofKinds.map(({ found }) => found)));
</script>

<div class="text-[13px]" role="status">
	{#if busy}<span class="text-muted">Trying it on sample pages …</span>
	{:else if problem}<span class="text-error">{problem}</span>
	{:else if trials}
		{#if ofKinds.length === 0}<span class="text-muted">No sample page of these kinds could be read.</span>
		{:else if none === ofKinds.length}<span class="text-secondary font-semibold"
				>It finds nothing on {ofKinds.length} sample pages.</span
			>
		{:else if most > 1}<span class="text-secondary font-semibold"
				>It finds up to {most} elements on one page; the first is taken. Make it narrower if that is not the one.</span
			>
		{:else}<span class="text-primary font-semibold"
				>One element on {once} of {ofKinds.length} sample pages{none > 0 ? `, nothing on ${none}` : ''}.</span
			>{/if}
	{/if}
</div>
