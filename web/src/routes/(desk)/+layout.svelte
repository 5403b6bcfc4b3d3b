<script lang="ts">
	import TopBar from '$lib/desk/TopBar.svelte';
	import { waitingCount } from '$lib/desk/waiting.svelte.js';

	let { data, children } = $props();
	$effect.pre(() => waitingCount.set(data.waiting));
</script>

<TopBar storeName={data.store.name} />
{@render children()}
