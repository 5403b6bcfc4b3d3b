<script lang="ts">
	import { ICON_NAMES, iconShapes, ownIcon, type IconName } from '@anbau/core/pieces';
	import { useSources } from '$lib/editor/sources.js';

	/** An icon that pieces can have: a shipped one, or one of the owner's. */
	let { name }: { name: string } = $props();
	const sources = useSources();
	const slug = $derived(ownIcon(name));
	const svg = $derived(slug === null ? undefined : sources.icons().find((one) => one.slug === slug)?.svg);
	const address = $derived(
		svg && `data:image/svg+xml,${encodeURIComponent(svg.replace('<svg ', '<svg xmlns="http://www.w3.org/2000/svg" '))}`
	);
	const shipped = (one: string): one is IconName => (ICON_NAMES as readonly string[]).includes(one);
</script>

{#if address}
	<img src={address} alt="" class="size-[18px]" />
{:else if shipped(name)}
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
{/if}
