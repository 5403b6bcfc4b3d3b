<script lang="ts">
	import type { Editor } from '@tiptap/core';
	import { untrack } from 'svelte';
	import type { Body } from '@anbau/core/pieces';
	import { bodyOf, createEditor, type Selected } from './bodyEditor.svelte.js';
	import EditorTools from './EditorTools.svelte';
	import LiveValueFallback from './LiveValueFallback.svelte';

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

	$effect(() => {
		if (!element) return;
		const made = untrack(() =>
			createEditor(
				element as HTMLElement,
				body,
				label,
				(changed) => onchange(changed),
				(found) => (selected = found)
			)
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

<div class="bg-base-100 border-base-300 rounded-box border">
	{#if editor && selected}<EditorTools {editor} {selected} />{:else}<div
			class="border-base-300 h-10 border-b"
		></div>{/if}
	<div bind:this={element} class="max-h-[46vh] overflow-y-auto px-4 py-3"></div>
	{#if editor && selected?.liveValue}<LiveValueFallback {editor} value={selected.liveValue} />{/if}
</div>

<style>
	div :global(.body-editor) {
		outline: none;
		min-height: 3.5rem;
		font-size: 15px;
		line-height: 1.6;
	}
	div:has(> :global(.body-editor:focus)) {
		outline: 2px solid var(--color-primary);
		outline-offset: -2px;
		border-radius: 0 0 var(--radius-box) var(--radius-box);
	}
	div :global(.body-editor > * + *) {
		margin-top: 0.6em;
	}
	div :global(.body-editor h2) {
		font-size: 19px;
	}
	div :global(.body-editor h3) {
		font-size: 17px;
	}
	div :global(.body-editor ul) {
		list-style: disc;
		padding-left: 1.3em;
	}
	div :global(.body-editor ol) {
		list-style: decimal;
		padding-left: 1.5em;
	}
	div :global(.body-editor a) {
		color: var(--color-primary);
		text-decoration: underline;
	}
	div :global(.body-editor img) {
		max-width: 100%;
		max-height: 12rem;
	}
	div :global(.live-value) {
		background: var(--anbau-moss-soft);
		color: var(--color-primary);
		border-radius: 4px;
		padding: 0.05em 0.4em;
		font-weight: 600;
		white-space: nowrap;
		cursor: pointer;
	}
	div :global(.live-value.ProseMirror-selectednode) {
		outline: 2px solid var(--color-primary);
	}
</style>
