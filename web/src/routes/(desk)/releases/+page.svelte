<script lang="ts">
	import { invalidateAll } from '$app/navigation';
	import { toast } from 'svelte-sonner';
	import { request, sentenceOf } from '$lib/desk/request.js';
	import { counted, timeWords } from '$lib/desk/words.js';

	let { data } = $props();
	let note = $state('');
	let busy = $state(false);
	const { next, releases } = $derived(data);

	async function attempt(path: string, body: unknown, say: (release: number, pages: number) => string) {
		busy = true;
		try {
			const { release, pages } = await request<{ release: number; pages: number }>(path, { method: 'POST', body });
			await invalidateAll();
			toast.success(say(release, pages));
		} catch (error) {
			toast.error(sentenceOf(error));
		} finally {
			busy = false;
		}
	}
	async function publish() {
		await attempt(
			'/api/v1/publish',
			{ note },
			(release, pages) => `Live as release ${release}: ${counted(pages, 'page')} changed.`
		);
		note = '';
	}
	const putBack = (number: number) =>
		attempt(
			`/api/v1/releases/${number}/restore`,
			{},
			(release, pages) =>
				`Release ${number} is back as release ${release}: ${counted(pages, 'page')} changed. Your drafts are untouched.`
		);

	const pagesOf = ({
		added,
		removed,
		moved,
		reworded
	}: {
		added: number;
		removed: number;
		moved: number;
		reworded: number;
	}) =>
		[
			added && `+ on ${counted(added, 'page')}`,
			removed && `− on ${removed}`,
			moved && `moved on ${moved}`,
			reworded && `in other words on ${reworded}`
		]
			.filter(Boolean)
			.join(', ') || 'no page';
</script>

<svelte:head><title>Review & publish · Anbau</title></svelte:head>
<main class="mx-auto max-w-[1000px] px-3 py-4 sm:px-5">
	<h1 class="text-[23px]">Review &amp; publish</h1>
	<section class="bg-base-100 border-base-300 rounded-box mt-4 border p-5">
		{#if next.changes === 0}
			<h2 class="text-[17px]">Everything is live</h2>
			<p class="text-muted mt-1">What you change in the library waits here until you publish it.</p>
		{:else}
			<h2 class="text-[17px]">
				{counted(next.changes, 'change')}
				{next.changes === 1 ? 'waits' : 'wait'}, on {counted(next.pages, 'page')}
			</h2>
			<ul class="mt-3">
				{#each next.pieces as piece (piece.piece)}
					<li class="border-base-300/60 flex flex-wrap gap-x-4 border-t py-1.5">
						<a class="link min-w-60 font-semibold" href={`/library/${piece.piece}`}>{piece.name}</a><span
							class="text-muted">{pagesOf(piece)}</span
						>
					</li>
				{/each}
				{#each next.attributes as code (code)}<li class="border-base-300/60 border-t py-1.5">
						<a class="link font-semibold" href="/attributes">The attribute {code}</a>
						<span class="text-muted">its label or unit, where a piece shows it</span>
					</li>{/each}
				{#if next.style}<li class="border-base-300/60 border-t py-1.5">
						<a class="link font-semibold" href="/store">The look of all pieces</a>
						<span class="text-muted">on every page that shows one</span>
					</li>{/if}
				{#if next.exceptions > 0}<li class="border-base-300/60 border-t py-1.5">
						<a class="link font-semibold" href="/exceptions">{counted(next.exceptions, 'exception')}</a>
						<span class="text-muted">of single products</span>
					</li>{/if}
				{#if next.theme}<li class="border-base-300/60 border-t py-1.5">
						<a class="link font-semibold" href="/hooks">Hooks, the theme’s parts and the strip</a>
						<span class="text-muted">where pieces are found a place in the shop</span>
					</li>{/if}
				{#if next.houseTabs}<li class="border-base-300/60 border-t py-1.5">
						<a class="link font-semibold" href="/store">The theme’s own tabs</a>
						<span class="text-muted">on every product page</span>
					</li>{/if}
			</ul>
			<form
				class="mt-4 flex flex-wrap gap-2"
				onsubmit={(event) => {
					event.preventDefault();
					void publish();
				}}
			>
				<input
					class="input min-w-60 flex-1"
					placeholder="What is this release for? (optional)"
					aria-label="Note"
					maxlength="1000"
					bind:value={note}
				/>
				<button class="btn btn-secondary" disabled={busy}>Publish everything</button>
			</form>
		{/if}
	</section>
	<h2 class="mt-8 text-[17px]">Past releases</h2>
	<ol class="bg-base-100 border-base-300 rounded-box mt-2 border">
		{#each releases as release, i (release.number)}
			<li class="border-base-300/60 flex flex-wrap items-center gap-x-4 gap-y-1 border-b px-4 py-2 last:border-b-0">
				<span class="w-10 font-mono">{release.number}</span>
				<span class="min-w-52 flex-1"
					>{release.note || 'without a note'}<span class="text-muted block text-[13px]"
						>{timeWords(release.created, data.store.zone)} · {release.author} · {counted(release.pages, 'page')}</span
					></span
				>
				{#if i === 0}<span class="chip bg-moss-soft text-primary">live</span>{:else}<button
						class="btn btn-sm"
						disabled={busy}
						onclick={() => putBack(release.number)}>Put back</button
					>{/if}
			</li>
		{:else}
			<li class="text-muted px-4 py-6">Nothing has been published yet.</li>
		{/each}
	</ol>
</main>
