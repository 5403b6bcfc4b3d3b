<script lang="ts">
	import ReviewsScreen from '$lib/reviews/ReviewsScreen.svelte';

	let { data } = $props();
</script>

<svelte:head><title>Reviews · Anbau</title></svelte:head>
<ReviewsScreen {data} />
