<script lang="ts">
	import { toast } from 'svelte-sonner';
	import type { FeedView, ImportResult } from '$lib/contracts.js';
	import { request, RequestProblem, sentenceOf } from '$lib/desk/request.js';
	import { counted, timeWords } from '$lib/desk/words.js';

	/** Where the catalogue is pulled from, how often, and how it went. */
	let { feed, zone, onchanged }: { feed: FeedView | null; zone: string; onchanged: () => void } = $props();
	let url = $derived(feed?.url ?? '');
	let minutes = $derived(feed?.minutes ?? 60);
	let faults = $state.raw<Record<string, string>>({});
	let busy = $state(false);

	async function attempt(work: () => Promise<void>) {
		busy = true;
		faults = {};
		try {
			await work();
		} catch (error) {
			if (error instanceof RequestProblem && error.faults.length > 0)
				faults = Object.fromEntries(error.faults.map(({ at, message }) => [at, message]));
			else toast.error(sentenceOf(error));
		} finally {
			busy = false;
			onchanged();
		}
	}
	const save = () =>
		attempt(async () => {
			await request('/api/v1/feed', { method: 'PUT', body: url.trim() === '' ? null : { url: url.trim(), minutes } });
			toast(url.trim() === '' ? 'The catalogue is no longer pulled.' : 'The feed is set.');
		});
	const pull = () =>
		attempt(async () => {
			const { imported } = await request<{ imported: ImportResult | null }>('/api/v1/feed/pull', { method: 'POST' });
			toast.success(
				imported
					? `Pulled: ${imported.inserted} new, ${imported.updated} changed, ${counted(imported.rejectedTotal, 'cell')} not read.`
					: 'Nothing has changed since the last pull; price and stock are confirmed.'
			);
		});
</script>

<h2 class="text-[17px]">Catalogue feed</h2>
<p class="text-muted mt-1">An address from which the catalogue is pulled on schedule, as CSV or NDJSON.</p>
<form
	class="mt-2 flex flex-wrap items-start gap-2"
	onsubmit={(event) => {
		event.preventDefault();
		void save();
	}}
>
	<label class="grid min-w-64 flex-1 gap-1"
		><span class="font-medium">Address</span><input
			class="input input-sm w-full"
			placeholder="https://…/catalog.csv"
			bind:value={url}
			aria-invalid={'/url' in faults}
		/>{#if faults['/url']}<span class="text-error text-[13px]">This {faults['/url']}.</span>{/if}</label
	>
	<label class="grid gap-1"
		><span class="font-medium">Every, in minutes</span><input
			type="number"
			class="input input-sm w-28"
			bind:value={minutes}
			aria-invalid={'/minutes' in faults}
		/>{#if faults['/minutes']}<span class="text-error text-[13px]">This {faults['/minutes']}.</span>{/if}</label
	>
	<button class="btn btn-sm mt-6" disabled={busy}>Set</button>
	{#if feed}<button type="button" class="btn btn-sm mt-6" disabled={busy} onclick={pull}
			>{busy ? 'Pulling …' : 'Pull now'}</button
		>{/if}
</form>
{#if feed}
	<p class="mt-3 text-[13px]">
		{#if feed.failures > 0}<b class="text-error">{feed.message}</b>
			Tried {counted(feed.failures, 'time')}, again {timeWords(
				feed.nextTry,
				zone
			)}.{:else if feed.message}{feed.message}.{/if}
		<span class="text-muted"
			>{feed.lastSuccess ? `Last pulled ${timeWords(feed.lastSuccess, zone)}` : 'Not pulled yet'}, next {timeWords(
				feed.nextTry,
				zone
			)}.</span
		>
	</p>
{/if}
