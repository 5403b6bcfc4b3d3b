<script lang="ts">
	import PlanScreen from '$lib/plan/PlanScreen.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Page plan · Anbau</title></svelte:head>
<PlanScreen {data} />
