<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { counted } from './words.js';
	import { waitingCount } from './waiting.svelte.js';
	import { request } from './request.js';

	let { storeName }: { storeName: string } = $props();
	const screens = [
		{ href: '/library', name: 'Library' },
		{ href: '/plan', name: 'Page plan' },
		{ href: '/catalog', name: 'Catalog' },
		{ href: '/attributes', name: 'Attributes' },
		{ href: '/media', name: 'Media' },
		{ href: '/reviews', name: 'Reviews' },
		{ href: '/store', name: 'Store' }
	];

	async function signOut() {
		await request('/session', { method: 'DELETE' });
		await goto('/sign-in', { invalidateAll: true });
	}
</script>

<header
	class="bg-neutral text-neutral-content sticky top-0 z-40 flex min-h-13 flex-wrap items-center gap-x-6 gap-y-1 px-3 py-1.5 sm:px-5"
>
	<a
		href="/library"
		class="font-display flex items-center gap-2 text-[19px] font-bold"
		aria-label="Anbau, to the library"
	>
		<img src="/mark.svg" alt="" class="size-6" />anbau
	</a>
	<nav class="flex flex-wrap gap-x-1" aria-label="Screens">
		{#each screens as { href, name } (href)}
			{@const current = page.url.pathname.startsWith(href)}
			<a
				{href}
				aria-current={current ? 'page' : undefined}
				class={[
					'rounded-field px-2 py-1.5 font-medium whitespace-nowrap sm:px-3',
					current ? 'bg-white/15 text-white' : 'opacity-85 hover:bg-white/10'
				]}>{name}</a
			>
		{/each}
	</nav>
	<div class="ml-auto flex items-center gap-3">
		<span class="max-sm:hidden text-[13px] opacity-85" aria-live="polite">
			{waitingCount.changes === 0
				? 'Everything is live'
				: `${counted(waitingCount.changes, 'change')} ${waitingCount.changes === 1 ? 'waits' : 'wait'}`}
		</span>
		<a href="/releases" class="btn btn-secondary btn-sm h-8.5 font-semibold whitespace-nowrap">Review &amp; publish</a>
		<button
			class="rounded-field px-2 py-1.5 text-[13px] opacity-85 hover:bg-white/10"
			onclick={signOut}
			title={storeName}>Sign out</button
		>
	</div>
</header>
