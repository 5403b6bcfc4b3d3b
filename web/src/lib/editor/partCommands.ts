import type { Editor } from '@tiptap/core';
import type { Node as ProseNode } from '@tiptap/pm/model';
import { NodeSelection, Selection, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';

/** The part of a body that the selection is in, and where it begins. */
export interface PlacedPart {
	node: ProseNode;
	pos: number;
}

/** The outermost part that the selection is in. */
export function outerPart({ selection, doc }: EditorState): PlacedPart | null {
	const { $from } = selection;
	if ($from.depth === 0) {
		const node = selection instanceof NodeSelection ? selection.node : doc.nodeAt($from.pos);
		return node ? { node, pos: $from.pos } : null;
	}
	return { node: $from.node(1), pos: $from.before(1) };
}

/** The innermost part of one of these types that the selection is in. */
export function partWithin({ selection }: EditorState, types: readonly string[]): PlacedPart | null {
	if (selection instanceof NodeSelection && types.includes(selection.node.type.name))
		return { node: selection.node, pos: selection.from };
	const { $from } = selection;
	for (let depth = $from.depth; depth > 0; depth--) {
		if (types.includes($from.node(depth).type.name)) return { node: $from.node(depth), pos: $from.before(depth) };
	}
	return null;
}

function select(transaction: Transaction, node: ProseNode, pos: number): Transaction {
	const selection = node.isAtom
		? NodeSelection.create(transaction.doc, pos)
		: Selection.near(transaction.doc.resolve(Math.min(pos + 1, transaction.doc.content.size)));
	return transaction.setSelection(selection).scrollIntoView();
}

/** Moves the outermost part before the one above it, or behind the one below it. */
export function movePart(editor: Editor, by: -1 | 1): boolean {
	const part = outerPart(editor.state);
	if (!part) return false;
	const { node, pos } = part;
	const { doc, tr } = editor.state;
	const $pos = doc.resolve(pos);
	const neighbour = by < 0 ? $pos.nodeBefore : doc.resolve(pos + node.nodeSize).nodeAfter;
	if (!neighbour) return false;
	const offset = editor.state.selection.from - pos;
	const to = by < 0 ? pos - neighbour.nodeSize : pos + neighbour.nodeSize;
	const moved = tr.delete(pos, pos + node.nodeSize).insert(to, node);
	const selection = node.isTextblock
		? TextSelection.create(moved.doc, Math.min(to + Math.max(1, offset), to + node.nodeSize - 1))
		: null;
	editor.view.dispatch(selection ? moved.setSelection(selection).scrollIntoView() : select(moved, node, to));
	return true;
}

/** Puts a copy of the outermost part behind it. */
export function duplicatePart(editor: Editor): boolean {
	const part = outerPart(editor.state);
	if (!part) return false;
	const behind = part.pos + part.node.nodeSize;
	editor.view.dispatch(select(editor.state.tr.insert(behind, part.node), part.node, behind));
	return true;
}

/** Takes the outermost part away. */
export function removePart(editor: Editor): boolean {
	const part = outerPart(editor.state);
	if (!part) return false;
	const { tr, schema, doc } = editor.state;
	const isOnly = doc.childCount === 1;
	const paragraph = schema.nodes.paragraph?.create();
	if (isOnly && paragraph) editor.view.dispatch(tr.replaceWith(part.pos, part.pos + part.node.nodeSize, paragraph));
	else editor.view.dispatch(tr.delete(part.pos, part.pos + part.node.nodeSize).scrollIntoView());
	editor.commands.focus();
	return true;
}

/** Changes attributes of a part, which stays selected if it was. */
export function setAttributes(editor: Editor, { node, pos }: PlacedPart, change: Record<string, unknown>): void {
	const { tr, selection } = editor.state;
	const changed = tr.setNodeMarkup(pos, undefined, { ...node.attrs, ...change });
	if (selection instanceof NodeSelection && selection.from === pos)
		changed.setSelection(NodeSelection.create(changed.doc, pos));
	editor.view.dispatch(changed);
}
