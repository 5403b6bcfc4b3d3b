<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import ImagePlus from '@lucide/svelte/icons/image-plus';
	import { srcFault, textFault } from '@anbau/core/pieces';
	import Popover from '$lib/ui/Popover.svelte';

	/** Puts a picture in, by its address. */
	let { editor }: { editor: Editor } = $props();
	let src = $state('');
	let alt = $state('');
	const fault = $derived(src === '' ? null : (textFault(src) ?? srcFault(src)));

	function insert(close: () => void) {
		if (fault !== null || src === '') return;
		editor.chain().focus().setImage({ src, alt }).run();
		src = alt = '';
		close();
	}
</script>

<Popover
	onclosed={() => editor.commands.focus()}
	label="Picture"
	triggerClass="btn btn-ghost btn-sm btn-square h-8 min-h-8"
>
	{#snippet trigger()}<ImagePlus class="size-4" />{/snippet}
	{#snippet children(close)}
		<form
			class="grid gap-2"
			onsubmit={(event) => {
				event.preventDefault();
				insert(close);
			}}
		>
			<label class="grid gap-1 font-medium"
				>Address of the picture<input
					class="input input-sm w-full"
					placeholder="https://…"
					bind:value={src}
					aria-invalid={fault !== null}
				/></label
			>
			{#if fault}<p class="text-error text-[13px]">This {fault}.</p>{/if}
			<label class="grid gap-1 font-medium"
				>What it shows<input
					class="input input-sm w-full"
					placeholder="for those who cannot see it"
					bind:value={alt}
				/></label
			>
			<button class="btn btn-primary btn-sm justify-self-start" disabled={fault !== null || src === ''}
				>Put it in</button
			>
		</form>
	{/snippet}
</Popover>
