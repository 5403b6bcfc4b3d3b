import { Extension, mergeAttributes, Node } from '@tiptap/core';
import { goToNextCell, tableEditing } from '@tiptap/pm/tables';

/** The role of each node in prosemirror-tables. */
const ROLES: Partial<Record<string, string>> = {
	table: 'table',
	tableRow: 'row',
	tableCell: 'cell',
	tableHeader: 'header_cell'
};

/** One part or more, as ProseMirror's content expressions write it. */
const PARTS = 'block+';

const spans = () => ({
	colspan: { default: 1 },
	rowspan: { default: 1 },
	colwidth: { default: null, renderHTML: () => ({}), parseHTML: () => null }
});

const Table = Node.create({
	name: 'table',
	group: 'block',
	content: 'tableRow+',
	isolating: true,
	parseHTML: () => [{ tag: 'table' }],
	renderHTML: ({ HTMLAttributes }) => ['table', mergeAttributes(HTMLAttributes), ['tbody', 0]]
});
const TableRow = Node.create({
	name: 'tableRow',
	content: '(tableCell | tableHeader)*',
	parseHTML: () => [{ tag: 'tr' }],
	renderHTML: ({ HTMLAttributes }) => ['tr', mergeAttributes(HTMLAttributes), 0]
});
const cell = (name: string, tag: string) =>
	Node.create({
		name,
		content: PARTS,
		isolating: true,
		addAttributes: spans,
		parseHTML: () => [{ tag }],
		renderHTML: ({ HTMLAttributes }) => [tag, mergeAttributes(HTMLAttributes), 0]
	});

/** Selecting cells by mouse and keyboard, and going from one to the next by Tab, as prosemirror-tables does it. */
const TableEditing = Extension.create({
	name: 'tableEditing',
	extendNodeSchema: ({ name }) => (ROLES[name] === undefined ? {} : { tableRole: ROLES[name] }),
	addProseMirrorPlugins: () => [tableEditing()],
	addKeyboardShortcuts() {
		const go = (by: 1 | -1) => () => goToNextCell(by)(this.editor.state, this.editor.view.dispatch);
		return { Tab: go(1), 'Shift-Tab': go(-1) };
	}
});

/** Tables, with heads, as ProseMirror's own table module edits them. */
export const TABLE_NODES = [Table, TableRow, cell('tableCell', 'td'), cell('tableHeader', 'th'), TableEditing];
