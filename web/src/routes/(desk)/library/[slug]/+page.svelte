<script lang="ts">
	import WorkbenchScreen from '$lib/workbench/WorkbenchScreen.svelte';

	let { data } = $props();
</script>

<svelte:head><title>{data.piece.name} · Anbau</title></svelte:head>
{#key data.piece.slug}
	<WorkbenchScreen {data} />
{/key}
