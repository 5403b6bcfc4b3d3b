<script lang="ts">
	import HooksScreen from '$lib/hooks/HooksScreen.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Hooks · Anbau</title></svelte:head>
<HooksScreen {data} />
