import type { Editor } from '@tiptap/core';
import type { PlacedPart } from '../partCommands.js';

/** What the form of a selected part is given. */
export interface PartForm {
	editor: Editor;
	part: PlacedPart;
	set: (change: Record<string, unknown>) => void;
}
