<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import Plus from '@lucide/svelte/icons/plus';
	import Popover from '$lib/ui/Popover.svelte';
	import LiveValueList from './LiveValueList.svelte';

	/** Puts a live value in, chosen by its label: of the product, an attribute, delivery, or the rest of a tag. */
	let { editor }: { editor: Editor } = $props();
	function insert(name: string, close: () => void) {
		close();
		editor.chain().focus().insertContent({ type: 'liveValue', attrs: { name } }).run();
	}
</script>

<Popover
	onclosed={() => editor.commands.focus()}
	label="Put in a live value"
	triggerClass="btn btn-ghost btn-sm text-primary h-8 min-h-8 font-semibold whitespace-nowrap"
>
	{#snippet trigger()}<Plus class="size-4" />Live value{/snippet}
	{#snippet children(close)}
		<LiveValueList onpick={(name) => insert(name, close)} />
		<p class="text-muted mt-2 text-[13px]">
			Filled in on every page with that product’s own value. Where a product has none, the paragraph stays away.
		</p>
	{/snippet}
</Popover>
