<script lang="ts">
	import type { PartForm } from './partForm.js';

	let { editor, part }: PartForm = $props();
	const count = $derived(part.node.childCount);

	function add() {
		const end = part.pos + part.node.nodeSize - 1;
		editor
			.chain()
			.insertContentAt(end, { type: 'column', content: [{ type: 'paragraph' }] })
			.run();
	}
</script>

<div class="flex flex-wrap items-center gap-2">
	<span>{count} columns, below each other on a phone</span>
	<button type="button" class="btn btn-sm h-7" disabled={count >= 4} onclick={add}>Add a column</button>
	<button
		type="button"
		class="btn btn-sm h-7"
		disabled={count <= 2}
		onclick={() => editor.chain().focus().deleteNode('column').run()}>Remove this column</button
	>
</div>
