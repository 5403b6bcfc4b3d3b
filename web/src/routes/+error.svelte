<script lang="ts">
	import { page } from '$app/state';
</script>

<svelte:head><title>Anbau</title></svelte:head>
<main class="mx-auto max-w-xl px-6 py-24">
	<h1 class="text-[23px]">{page.status === 404 ? 'Nothing here' : 'That did not work'}</h1>
	<p class="text-muted mt-3 text-[16px]">{page.error?.message}</p>
	<a class="btn btn-primary mt-6" href="/library">To the library</a>
</main>
