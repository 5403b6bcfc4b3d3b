<script lang="ts">
	import { partWithin } from '../partCommands.js';
	import type { PartForm } from './partForm.js';

	/** How an accordion inside a body opens; panels are added and taken away where the cursor is. */
	let { editor, part, set }: PartForm = $props();
	const attrs = $derived(part.node.attrs as { many: boolean; open: 'first' | 'none' });

	function add() {
		const panel = partWithin(editor.state, ['accordionPanel']);
		const at = panel ? panel.pos + panel.node.nodeSize : part.pos + part.node.nodeSize - 1;
		editor
			.chain()
			.insertContentAt(at, { type: 'accordionPanel', attrs: { heading: 'Panel' }, content: [{ type: 'paragraph' }] })
			.focus(at + 2)
			.run();
	}
</script>

<div class="flex flex-wrap items-center gap-3">
	<button type="button" class="btn btn-sm h-7" onclick={add}>Add a panel</button>
	<button
		type="button"
		class="btn btn-sm h-7"
		disabled={part.node.childCount === 1}
		onclick={() => editor.chain().focus().deleteNode('accordionPanel').run()}>Remove this panel</button
	>
	<label class="flex items-center gap-1.5"
		><input
			type="checkbox"
			class="checkbox checkbox-sm checkbox-primary"
			checked={attrs.many}
			onchange={(event) => set({ many: event.currentTarget.checked })}
		/>several may be open</label
	>
	<label class="flex items-center gap-1.5"
		><input
			type="checkbox"
			class="checkbox checkbox-sm checkbox-primary"
			checked={attrs.open === 'first'}
			onchange={(event) => set({ open: event.currentTarget.checked ? 'first' : 'none' })}
		/>the first is open at the beginning</label
	>
</div>
