<script lang="ts">
	import type { Command } from '@tiptap/pm/state';
	import * as tables from '@tiptap/pm/tables';
	import type { PartForm } from './partForm.js';

	let { editor }: PartForm = $props();
	const tools: [string, Command][] = [
		['Row below', tables.addRowAfter],
		['Row above', tables.addRowBefore],
		['Column right', tables.addColumnAfter],
		['Column left', tables.addColumnBefore],
		['Head row', tables.toggleHeaderRow],
		['Head column', tables.toggleHeaderColumn],
		['Join cells', tables.mergeCells],
		['Split cell', tables.splitCell],
		['Remove row', tables.deleteRow],
		['Remove column', tables.deleteColumn]
	];

	function run(command: Command) {
		command(editor.state, editor.view.dispatch);
		editor.commands.focus();
	}
</script>

<div class="flex flex-wrap gap-1.5">
	{#each tools as [name, command] (name)}
		<button type="button" class="btn btn-sm h-7" onclick={() => run(command)}>{name}</button>
	{/each}
</div>
