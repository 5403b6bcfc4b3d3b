import { getSchema, type Editor } from '@tiptap/core';
import { EditorState, NodeSelection, TextSelection, type Transaction } from '@tiptap/pm/state';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodySchema, emptyBody } from '@anbau/core/pieces';
import { body } from '../../../../core/testing/bodies.js';
import { bodyNodes } from './bodyEditor.js';
import { duplicatePart, movePart, outerPart, partWithin, removePart, setAttributes } from './partCommands.js';
import { PART_KINDS, partsNamed } from './partKinds.js';

const schema = getSchema(bodyNodes(() => undefined));
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

/** An editor without a page: its state, and what is dispatched to it. */
function editorWith(...content: object[]) {
	const editor = {
		state: EditorState.create({ schema, doc: schema.nodeFromJSON({ type: 'doc', content }) }),
		view: { dispatch: (transaction: Transaction) => void (editor.state = editor.state.apply(transaction)) },
		commands: { focus: () => true }
	};
	return {
		editor: editor as unknown as Editor,
		types: () => editor.state.doc.content.content.map((node) => node.textContent || node.type.name),
		selectAt: (pos: number) => {
			const node = editor.state.doc.nodeAt(pos);
			const selection = node?.isAtom
				? NodeSelection.create(editor.state.doc, pos)
				: TextSelection.near(editor.state.doc.resolve(pos + 1));
			editor.state = editor.state.apply(editor.state.tr.setSelection(selection));
		}
	};
}
const paragraph = (text: string) => ({ type: 'paragraph', content: [{ type: 'text', text }] });

describe('the editor', () => {
	it('takes every body that the API takes, and gives it back as it was', () => {
		fc.assert(
			fc.property(body, (one) => {
				const node = schema.nodeFromJSON(one);
				node.check();
				const back = plain(node.toJSON());
				expect(bodySchema.parse(back)).toEqual(bodySchema.parse(plain(schema.nodeFromJSON(back).toJSON())));
				expect(schema.nodeFromJSON(back).eq(node)).toBe(true);
			})
		);
	});

	it.each(PART_KINDS.map((kind) => [kind.label, kind] as const))(
		'puts in a new %s that can be saved as it is',
		(_, kind) => {
			const node = schema.nodeFromJSON({ type: 'doc', content: [kind.make()] });
			node.check();
			expect(bodySchema.safeParse(plain(node.toJSON())).error?.issues).toBeUndefined();
		}
	);

	it('finds parts by their names and by other words', () => {
		expect(partsNamed('table').map((one) => one.label)).toEqual(['Table', 'Attribute table']);
		expect(partsNamed(' PDF').map((one) => one.type)).toEqual(['documentList']);
		expect(partsNamed('nonsense')).toEqual([]);
	});
});

describe('a part', () => {
	it('is moved past its neighbours and no further, with the cursor in it', () => {
		const { editor, types, selectAt } = editorWith(paragraph('one'), { type: 'horizontalRule' }, paragraph('three'));
		selectAt(0);
		expect(movePart(editor, -1)).toBe(false);
		expect(movePart(editor, 1)).toBe(true);
		expect(types()).toEqual(['horizontalRule', 'one', 'three']);
		expect(movePart(editor, 1)).toBe(true);
		expect(types()).toEqual(['horizontalRule', 'three', 'one']);
		expect(outerPart(editor.state)?.node.textContent).toBe('one');
		expect(movePart(editor, 1)).toBe(false);
	});

	it('is copied behind itself, and taken away; the last one leaves an empty line', () => {
		const { editor, types, selectAt } = editorWith({ type: 'attributeTable', attrs: { codes: ['a'] } }, paragraph('x'));
		selectAt(0);
		duplicatePart(editor);
		expect(types()).toEqual(['attributeTable', 'attributeTable', 'x']);
		for (let i = 0; i < 3; i++) {
			selectAt(0);
			removePart(editor);
		}
		expect(editor.state.doc.toJSON()).toEqual(emptyBody());
	});

	it('that is selected stays selected when its settings change', () => {
		const { editor, selectAt } = editorWith({ type: 'button', attrs: { label: 'Go', href: '/' } });
		selectAt(0);
		const part = partWithin(editor.state, ['button']);
		if (!part) throw new Error('the button is selected');
		setAttributes(editor, part, { label: 'Stay' });
		expect(partWithin(editor.state, ['button'])?.node.attrs).toEqual({ label: 'Stay', href: '/' });
	});

	it('is found from inside, the innermost that has settings', () => {
		const columns = {
			type: 'columns',
			content: ['a', 'b'].map((text) => ({ type: 'column', content: [paragraph(text)] }))
		};
		const { editor, selectAt } = editorWith(columns);
		selectAt(2);
		expect(partWithin(editor.state, ['columns', 'table'])?.node.type.name).toBe('columns');
		expect(partWithin(editor.state, ['table'])).toBeNull();
		expect(outerPart(editor.state)?.pos).toBe(0);
	});
});
