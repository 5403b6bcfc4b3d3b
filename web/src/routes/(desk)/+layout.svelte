<script lang="ts">
	import Finder from '$lib/desk/Finder.svelte';
	import TopBar from '$lib/desk/TopBar.svelte';
	import { waitingCount } from '$lib/desk/waiting.svelte.js';

	let { data, children } = $props();
	$effect.pre(() => waitingCount.set(data.waiting));
</script>

<TopBar storeName={data.store.name} />
<Finder />
{@render children()}
