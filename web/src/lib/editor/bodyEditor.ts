import { Editor, Extension, type Extensions } from '@tiptap/core';
import Image from '@tiptap/extension-image';
import StarterKit from '@tiptap/starter-kit';
import { hrefFault, liveValueLabel, type Body, type Format, type PluralForms } from '@anbau/core/pieces';
import { DragHandle } from './dragHandle.js';
import { LiveValue } from './liveValueNode.js';
import { duplicatePart, movePart, outerPart, partWithin, type PlacedPart } from './partCommands.js';
import { PART_NODES } from './partNodes.js';
import { cleanPaste } from './paste.js';
import type { SlashMenu } from './slash.svelte.js';
import { TABLE_NODES } from './tableNodes.js';

/** A live value that is selected, and how it is written. */
export interface SelectedValue {
	name: string;
	fallback: string;
	format: Format | null;
	forms: PluralForms | null;
}

/** What the editor's tools show: what the selection is in. */
export interface Selected {
	bold: boolean;
	italic: boolean;
	bulletList: boolean;
	orderedList: boolean;
	heading: number | null;
	link: string | null;
	liveValue: SelectedValue | null;
	/** The outermost part, and the innermost one that has settings of its own. */
	outer: PlacedPart | null;
	part: PlacedPart | null;
}

/** The parts with settings that are edited below the text. */
const WITH_SETTINGS = [
	'image',
	'table',
	'columns',
	'iconList',
	'button',
	'dialogButton',
	'attributeTable',
	'documentList',
	'pictureRow',
	'productList',
	'accordion',
	'media',
	'reviewQuote',
	'rawHtml',
	'snippet'
];

interface Wiring {
	label: string;
	slash: SlashMenu;
	/** What an attribute is called. */
	attributeLabel: (code: string) => string | undefined;
	onchange: (body: Body) => void;
	onselect: (selected: Selected) => void;
	onproblem: (message: string) => void;
}

/** Makes the rich-text editor of a body. Undo is the workbench's, so that one history holds everything. */
export function createEditor(element: HTMLElement, body: Body, wiring: Wiring): Editor {
	const editor = new Editor({
		element,
		extensions: extensionsOf(wiring),
		content: body,
		editorProps: {
			attributes: { class: 'body-editor', role: 'textbox', 'aria-multiline': 'true', 'aria-label': wiring.label }
		},
		onUpdate: () => wiring.onchange(bodyOf(editor)),
		onTransaction: () => wiring.onselect(selectedIn(editor))
	});
	return editor;
}

function extensionsOf({ slash, attributeLabel, onproblem }: Wiring): Extensions {
	return [...bodyNodes(attributeLabel), PartKeys, DragHandle, slash.extension(), cleanPaste(onproblem)];
}

/** What a body is made of, as the editor knows it. */
export function bodyNodes(attributeLabel: (code: string) => string | undefined): Extensions {
	return [
		StarterKit.configure({
			heading: { levels: [2, 3, 4] },
			codeBlock: false,
			undoRedo: false,
			trailingNode: false,
			link: {
				openOnClick: false,
				autolink: false,
				isAllowedUri: (address) => hrefFault(address) === null,
				HTMLAttributes: { target: null, rel: null, class: null }
			}
		}),
		Image.configure({ inline: false }),
		LiveValue.configure({ label: (name) => liveValueLabel(name, attributeLabel) }),
		...PART_NODES,
		...TABLE_NODES
	];
}

/** Moving and duplicating parts by the keyboard. */
const PartKeys = Extension.create({
	name: 'partKeys',
	addKeyboardShortcuts() {
		return {
			'Alt-ArrowUp': () => movePart(this.editor, -1),
			'Alt-ArrowDown': () => movePart(this.editor, 1),
			'Mod-Shift-d': () => duplicatePart(this.editor)
		};
	}
});

/** The editor's document as a body; marks and attributes that only the editor needs are left out. */
export function bodyOf(editor: Editor): Body {
	return editor.getJSON() as unknown as Body;
}

function selectedIn(editor: Editor): Selected {
	const { href } = editor.getAttributes('link') as { href?: string };
	const value = editor.isActive('liveValue') ? (editor.getAttributes('liveValue') as Partial<SelectedValue>) : null;
	return {
		bold: editor.isActive('bold'),
		italic: editor.isActive('italic'),
		bulletList: editor.isActive('bulletList'),
		orderedList: editor.isActive('orderedList'),
		heading: [2, 3, 4].find((level) => editor.isActive('heading', { level })) ?? null,
		link: href ?? null,
		liveValue: value && {
			name: value.name ?? '',
			fallback: value.fallback ?? '',
			format: value.format ?? null,
			forms: value.forms ?? null
		},
		outer: outerPart(editor.state),
		part: partWithin(editor.state, WITH_SETTINGS)
	};
}
