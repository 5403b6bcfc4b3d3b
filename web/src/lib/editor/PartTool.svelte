<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import Plus from '@lucide/svelte/icons/plus';
	import PickList from '$lib/ui/PickList.svelte';
	import Popover from '$lib/ui/Popover.svelte';
	import { PART_KINDS, partsNamed } from './partKinds.js';

	/** Puts a part in where the cursor is; typing / in the text does the same. */
	let { editor }: { editor: Editor } = $props();
	const search = (text: string) => partsNamed(text).map(({ type, label }) => ({ value: type, label }));

	function insert(type: string, close: () => void) {
		close();
		const part = PART_KINDS.find((one) => one.type === type);
		if (part) editor.chain().focus().insertContent(part.make()).run();
	}
</script>

<Popover
	onclosed={() => editor.commands.focus()}
	label="Put in a part"
	triggerClass="btn btn-ghost btn-sm text-primary h-8 min-h-8 font-semibold whitespace-nowrap"
>
	{#snippet trigger()}<Plus class="size-4" />Part{/snippet}
	{#snippet children(close)}
		<PickList label="Search parts" {search} onpick={({ value }) => insert(value, close)} />
		<p class="text-muted mt-2 text-[13px]">Typing / in the text opens this list too.</p>
	{/snippet}
</Popover>
