<script lang="ts">
	import { ICON_NAMES, type IconName } from '@anbau/core/pieces';
	import PieceIcon from '$lib/ui/PieceIcon.svelte';
	import Popover from '$lib/ui/Popover.svelte';

	/** Chooses an icon of the shipped set, or none. */
	let { icon, onchange }: { icon: IconName | null; onchange: (icon: IconName | null) => void } = $props();
	let text = $state('');
	const found = $derived(ICON_NAMES.filter((name) => name.includes(text.trim().toLowerCase())));
</script>

<Popover label="Icon" triggerClass="btn btn-sm h-8" contentClass="w-64">
	{#snippet trigger()}
		{#if icon}<PieceIcon name={icon} />{icon}{:else}No icon{/if}
	{/snippet}
	{#snippet children(close)}
		<input class="input input-sm mb-2 w-full" placeholder="Search icons" aria-label="Search icons" bind:value={text} />
		<div class="grid grid-cols-6 gap-1">
			{#each found as name (name)}
				<button
					type="button"
					class={['btn btn-ghost btn-square btn-sm', icon === name && 'bg-moss-soft']}
					aria-label={name}
					title={name}
					onclick={() => (onchange(name), close())}><PieceIcon {name} /></button
				>
			{/each}
		</div>
		<button type="button" class="btn btn-ghost btn-sm mt-2" onclick={() => (onchange(null), close())}>No icon</button>
	{/snippet}
</Popover>
