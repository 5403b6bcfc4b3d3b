import { Editor } from '@tiptap/core';
import Image from '@tiptap/extension-image';
import StarterKit from '@tiptap/starter-kit';
import { hrefFault, type Body } from '@anbau/core/pieces';
import { LiveValue } from './liveValueNode.js';

/** What the editor's tools show: what the selection is in. */
export interface Selected {
	bold: boolean;
	italic: boolean;
	bulletList: boolean;
	orderedList: boolean;
	heading: number | null;
	link: string | null;
	/** The live value that is selected. */
	liveValue: { name: string; fallback: string } | null;
}

/** Makes the rich-text editor of a body. Undo is the workbench's, so that one history holds everything. */
export function createEditor(
	element: HTMLElement,
	body: Body,
	label: string,
	onChange: (body: Body) => void,
	onSelect: (selected: Selected) => void
): Editor {
	const editor = new Editor({
		element,
		extensions: [
			StarterKit.configure({
				heading: { levels: [2, 3, 4] },
				blockquote: false,
				codeBlock: false,
				horizontalRule: false,
				undoRedo: false,
				trailingNode: false,
				link: {
					openOnClick: false,
					autolink: false,
					isAllowedUri: (address) => hrefFault(address) === null,
					HTMLAttributes: { target: null, rel: null, class: null }
				}
			}),
			Image,
			LiveValue
		],
		content: body,
		editorProps: {
			attributes: { class: 'body-editor', role: 'textbox', 'aria-multiline': 'true', 'aria-label': label }
		},
		onUpdate: () => onChange(bodyOf(editor)),
		onTransaction: () => onSelect(selectedIn(editor))
	});
	return editor;
}

/** The editor's document as a body; marks and attributes that only the editor needs are left out. */
export function bodyOf(editor: Editor): Body {
	return editor.getJSON() as unknown as Body;
}

function selectedIn(editor: Editor): Selected {
	const { href } = editor.getAttributes('link') as { href?: string };
	const value = editor.isActive('liveValue')
		? (editor.getAttributes('liveValue') as { name: string; fallback: string | null })
		: null;
	return {
		bold: editor.isActive('bold'),
		italic: editor.isActive('italic'),
		bulletList: editor.isActive('bulletList'),
		orderedList: editor.isActive('orderedList'),
		heading: [2, 3, 4].find((level) => editor.isActive('heading', { level })) ?? null,
		link: href ?? null,
		liveValue: value && { name: value.name, fallback: value.fallback ?? '' }
	};
}
