<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import { untrack } from 'svelte';
	import { toast } from 'svelte-sonner';
	import type { Body } from '@anbau/core/pieces';
	import './bodyEditor.css';
	import { bodyOf, createEditor, type Selected } from './bodyEditor.js';
	import { activeEditor } from './activeEditor.svelte.js';
	import EditorTools from './EditorTools.svelte';
	import LiveValueSettings from './LiveValueSettings.svelte';
	import PartBar from './PartBar.svelte';
	import { SlashMenu } from './slash.svelte.js';
	import SlashList from './SlashList.svelte';
	import { useSources } from './sources.js';

	/** The rich-text editor of a body. `replaced` changes when the body was replaced from outside. */
	interface Props {
		body: Body;
		label: string;
		replaced: number;
		onchange: (body: Body) => void;
	}
	let { body, label, replaced, onchange }: Props = $props();

	let element = $state<HTMLElement>();
	let editor = $state.raw<Editor | null>(null);
	let selected = $state.raw<Selected | null>(null);
	const slash = new SlashMenu();
	const id = $props.id();
	const sources = useSources();

	$effect(() => {
		if (!element) return;
		const made = untrack(() =>
			createEditor(element as HTMLElement, body, {
				label,
				slash,
				attributeLabel: (code) => sources.attributes().find((one) => one.code === code)?.label,
				onchange: (changed) => onchange(changed),
				onselect: (found) => (selected = found),
				onproblem: (message) => toast.error(message)
			})
		);
		editor = made;
		return () => made.destroy();
	});
	$effect(() => {
		void replaced;
		untrack(() => {
			if (editor && JSON.stringify(bodyOf(editor)) !== JSON.stringify(body))
				editor.commands.setContent(body, { emitUpdate: false });
		});
	});
</script>

<div class="bg-base-100 border-base-300 rounded-box border" onfocusin={() => (activeEditor.id = id)}>
	{#if editor && selected}<EditorTools {editor} {selected} />{:else}<div
			class="border-base-300 h-10 border-b"
		></div>{/if}
	<div bind:this={element} class="body-editor-box relative max-h-[52vh] overflow-y-auto py-3 pr-4 pl-8"></div>
	{#if editor && selected && activeEditor.id === id}
		{#if selected.liveValue}<LiveValueSettings {editor} value={selected.liveValue} />{/if}
		{#if selected.outer}<PartBar {editor} {selected} />{/if}
	{/if}
</div>
<SlashList menu={slash} />
