<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import Bold from '@lucide/svelte/icons/bold';
	import Italic from '@lucide/svelte/icons/italic';
	import List from '@lucide/svelte/icons/list';
	import ListOrdered from '@lucide/svelte/icons/list-ordered';
	import type { Selected } from './bodyEditor.js';
	import LinkTool from './LinkTool.svelte';
	import LiveValueTool from './LiveValueTool.svelte';
	import PartTool from './PartTool.svelte';

	/** The tools above a body: marks, lists, headings, links, parts and live values. */
	let { editor, selected }: { editor: Editor; selected: Selected } = $props();

	const tool = (active: boolean) => [
		'btn btn-ghost btn-sm btn-square h-8 min-h-8',
		active && 'bg-moss-soft text-primary'
	];
	const tools = $derived([
		{ name: 'Bold', Icon: Bold, active: selected.bold, run: () => editor.chain().focus().toggleBold().run() },
		{ name: 'Italic', Icon: Italic, active: selected.italic, run: () => editor.chain().focus().toggleItalic().run() },
		{
			name: 'Bulleted list',
			Icon: List,
			active: selected.bulletList,
			run: () => editor.chain().focus().toggleBulletList().run()
		},
		{
			name: 'Numbered list',
			Icon: ListOrdered,
			active: selected.orderedList,
			run: () => editor.chain().focus().toggleOrderedList().run()
		}
	]);
	const block = $derived(selected.heading === null ? 'p' : String(selected.heading));

	function setBlock(value: string) {
		const chain = editor.chain().focus();
		if (value === 'p') chain.setParagraph().run();
		else chain.setHeading({ level: Number(value) as 2 | 3 | 4 }).run();
	}
</script>

<div
	class="border-base-300 flex flex-wrap items-center gap-0.5 border-b px-2 py-1"
	role="toolbar"
	aria-label="Text tools"
>
	<select
		class="select select-ghost select-sm h-8 w-auto pr-7"
		aria-label="Kind of paragraph"
		value={block}
		onchange={(event) => setBlock(event.currentTarget.value)}
	>
		<option value="p">Text</option>
		<option value="2">Heading</option>
		<option value="3">Smaller heading</option>
		<option value="4">Smallest heading</option>
	</select>
	{#each tools as { name, Icon, active, run } (name)}
		<button type="button" class={tool(active)} aria-label={name} aria-pressed={active} title={name} onclick={run}
			><Icon class="size-4" /></button
		>
	{/each}
	<LinkTool {editor} href={selected.link} />
	<span class="flex-1"></span>
	<PartTool {editor} />
	<LiveValueTool {editor} />
</div>
