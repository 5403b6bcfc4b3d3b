<script lang="ts">
	import { iconShapes, type IconName } from '@anbau/core/pieces';

	/** An icon of the set that pieces can have. */
	let { name }: { name: IconName } = $props();
</script>

<svg
	viewBox="0 0 24 24"
	class="size-[18px] fill-none stroke-current stroke-2"
	stroke-linecap="round"
	stroke-linejoin="round"
	aria-hidden="true"
>
	{#each iconShapes(name) as [shape, attributes], i (i)}
		<svelte:element this={shape} xmlns="http://www.w3.org/2000/svg" {...attributes} />
	{/each}
</svg>
