<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import { liveValueLabel } from '@anbau/core/pieces';

	/** What a selected live value says on products that have none. */
	let { editor, value }: { editor: Editor; value: { name: string; fallback: string } } = $props();

	function set(text: string) {
		const { from } = editor.state.selection;
		editor
			.chain()
			.updateAttributes('liveValue', { fallback: text === '' ? null : text })
			.setNodeSelection(from)
			.run();
	}
</script>

<label class="border-base-300 flex flex-wrap items-center gap-2 border-t px-4 py-2 text-[13px]">
	<span>Where a product has no <b>{liveValueLabel(value.name)}</b>, say</span>
	<input
		class="input input-sm h-7 w-44"
		placeholder="nothing: the paragraph goes"
		value={value.fallback}
		oninput={(event) => set(event.currentTarget.value)}
	/>
</label>
