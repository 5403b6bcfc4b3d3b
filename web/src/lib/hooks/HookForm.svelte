<script lang="ts">
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import { PAGE_KINDS, type PageKind } from '@anbau/core/catalog';
	import { POSITIONS, type Position } from '@anbau/core/placement';
	import type { HookView } from '$lib/contracts.js';
	import { request, RequestProblem, sentenceOf } from '$lib/desk/request.js';
	import { PAGE_WORDS } from '$lib/desk/words.js';
	import { waitingCount } from '$lib/desk/waiting.svelte.js';
	import SelectorTrial from './SelectorTrial.svelte';

	/** How a hook is found: its binding, tried on sample pages, and what it falls back to; an own hook's name and pages. */
	interface Props {
		hook: HookView;
		hooks: readonly HookView[];
		/** Told the hook's id, or null when it is gone. */
		onsaved: (id: string | null) => void;
	}
	let { hook, hooks, onsaved }: Props = $props();
	const isNew = $derived(hook.id === '');
	let id = $state(untrack(() => hook.id));
	let title = $state(untrack(() => hook.title));
	let pages = $state.raw<PageKind[]>(untrack(() => hook.pages));
	let selector = $state(untrack(() => hook.binding?.selector ?? ''));
	let position = $state<Position>(untrack(() => hook.binding?.position ?? 'after'));
	let fallback = $state(untrack(() => hook.fallback ?? ''));
	let faults = $state.raw<{ at: string; message: string }[]>([]);
	const faultAt = (at: string) => faults.find((one) => one.at === at || one.at.startsWith(`${at}/`))?.message;
	const positionWords: Record<Position, string> = {
		before: 'before it',
		after: 'after it',
		first: 'inside, at its start',
		last: 'inside, at its end'
	};

	async function save() {
		const binding = selector.trim() === '' ? null : { selector: selector.trim(), position };
		const body = { ...(hook.own ? { title, pages } : {}), binding, fallback: fallback || null };
		await attempt(async () => {
			const saved = await request<HookView>(`/api/v1/hooks/${encodeURIComponent(id.trim() || 'new')}`, {
				method: 'PUT',
				body
			});
			toast(`The hook ${saved.id} is kept.`);
			onsaved(saved.id);
		});
	}
	async function remove() {
		await attempt(async () => {
			await request(`/api/v1/hooks/${encodeURIComponent(hook.id)}`, { method: 'DELETE' });
			toast(hook.own ? `The hook ${hook.id} is gone.` : `${hook.id} is found by its marker alone again.`);
			onsaved(hook.own ? null : hook.id);
		});
	}
	async function attempt(work: () => Promise<void>) {
		faults = [];
		try {
			await work();
			await waitingCount.refresh();
		} catch (error) {
			if (error instanceof RequestProblem) faults = error.faults;
			if (faults.length === 0) toast.error(sentenceOf(error));
		}
	}
	const field = 'grid gap-1 text-[13px]';
</script>

{#snippet fault(at: string)}{#if faultAt(at)}<span class="text-error" role="alert">{faultAt(at)}.</span>{/if}{/snippet}

<h2 class="text-[17px]">
	{isNew ? 'An own hook' : hook.id} <span class="text-muted text-[14px] font-normal">{isNew ? '' : hook.title}</span>
</h2>
<form
	class="mt-3 grid gap-3"
	onsubmit={(event) => {
		event.preventDefault();
		void save();
	}}
>
	{#if hook.own}
		{#if isNew}
			<label class={field}
				>Name for the API, like <code>below-care</code>
				<input class="input input-sm w-full font-mono" bind:value={id} required />{@render fault('')}</label
			>
		{/if}
		<label class={field}
			>Where it is, as the end of “Hangs …”
			<input class="input input-sm w-full" placeholder="below the care label" bind:value={title} />{@render fault(
				'/title'
			)}</label
		>
		<fieldset class="flex flex-wrap gap-x-4 gap-y-1 text-[13px]">
			<legend class="mb-1">On pages of these kinds</legend>
			{#each PAGE_KINDS as kind (kind)}
				<label class="flex cursor-pointer items-center gap-1.5"
					><input
						type="checkbox"
						class="checkbox checkbox-sm checkbox-primary"
						checked={pages.includes(kind)}
						onchange={(event) =>
							(pages = PAGE_KINDS.filter((one) => (one === kind ? event.currentTarget.checked : pages.includes(one))))}
					/>{PAGE_WORDS[kind]}</label
				>
			{/each}
			{@render fault('/pages')}
		</fieldset>
	{/if}
	<label class={field}
		>CSS selector, where the theme has no marker
		<input class="input input-sm w-full font-mono" placeholder="form.cart" bind:value={selector} />{@render fault(
			'/binding'
		)}</label
	>
	<SelectorTrial {selector} {pages} />
	<label class={field}
		>It stands
		<select class="select select-sm w-full" bind:value={position}>
			{#each POSITIONS as one (one)}<option value={one}>{positionWords[one]}</option>{/each}
		</select></label
	>
	<label class={field}
		>Where it is not found, its pieces hang instead on
		<select class="select select-sm w-full" bind:value={fallback}>
			<option value="">no other hook</option>
			{#each hooks.filter((one) => one.id !== hook.id) as one (one.id)}<option value={one.id}>{one.id}</option>{/each}
		</select>{@render fault('/fallback')}</label
	>
	<div class="flex flex-wrap gap-2">
		<button class="btn btn-primary btn-sm h-9">Keep</button>
		{#if !isNew && (hook.own || hook.binding || hook.fallback)}
			<button type="button" class="btn btn-sm h-9" onclick={() => void remove()}
				>{hook.own ? 'Remove this hook' : 'By its marker alone'}</button
			>
		{/if}
	</div>
</form>
{#if !isNew && hook.sightings.length > 0}
	<h3 class="mt-4 text-[14px]">Seen</h3>
	<ul class="mt-1 grid max-h-56 gap-0.5 overflow-y-auto text-[13px]">
		{#each hook.sightings as seen (seen.url)}
			<li class="flex gap-2">
				<a class="link min-w-0 flex-1 truncate leading-6" href={seen.url} target="_blank" rel="noopener"
					>{new URL(seen.url).pathname}</a
				>
				<span class={seen.found === 0 ? 'text-muted' : ''}
					>{seen.found === 0
						? 'not there'
						: seen.byMarker
							? 'marker'
							: seen.found === 1
								? 'selector'
								: `${seen.found} times`}</span
				>
			</li>
		{/each}
	</ul>
{/if}
