<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import { request, sentenceOf } from '$lib/desk/request.js';

	let { data } = $props();
	let email = $state('');
	let password = $state('');
	let problem = $state('');
	let busy = $state(false);

	async function enter(body: unknown) {
		busy = true;
		problem = '';
		try {
			await request('/session', { method: 'POST', body });
			const to = page.url.searchParams.get('to');
			await goto(to?.startsWith('/') && !to.startsWith('//') ? to : '/library', { invalidateAll: true });
		} catch (error) {
			problem = sentenceOf(error);
			busy = false;
		}
	}
</script>

<svelte:head><title>Sign in · Anbau</title></svelte:head>
<main class="grid min-h-dvh place-items-center px-4">
	<div class="w-full max-w-sm">
		<h1 class="flex items-center gap-2.5 text-[28px] font-bold"><img src="/mark.svg" alt="" class="size-8" />anbau</h1>
		<p class="text-muted mt-2 mb-6 text-[16px]">Hang reusable content on your product pages, and see why it shows.</p>
		{#if data.hasDemo}
			<button class="btn btn-primary h-11 w-full text-[15px]" disabled={busy} onclick={() => enter({ demo: true })}
				>Sign in as the demo owner</button
			>
			<p class="text-muted mt-2 text-[13px]">Opens Hollowmere Garden Supply, a made-up nursery and garden shop.</p>
			<div class="text-muted my-6 flex items-center gap-3 text-[13px]">
				<hr class="border-base-300 flex-1" />
				or
				<hr class="border-base-300 flex-1" />
			</div>
		{/if}
		<form
			class="grid gap-3"
			onsubmit={(event) => {
				event.preventDefault();
				void enter({ email, password });
			}}
		>
			<label class="grid gap-1 font-medium"
				>E-mail<input class="input w-full" type="email" autocomplete="username" required bind:value={email} /></label
			>
			<label class="grid gap-1 font-medium"
				>Password<input
					class="input w-full"
					type="password"
					autocomplete="current-password"
					required
					bind:value={password}
				/></label
			>
			{#if problem}<p class="text-error font-medium" role="alert">{problem}</p>{/if}
			<button class="btn" disabled={busy}>Sign in</button>
		</form>
	</div>
</main>
