<script lang="ts">
	import MediaScreen from '$lib/media/MediaScreen.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Media · Anbau</title></svelte:head>
<MediaScreen {data} />
