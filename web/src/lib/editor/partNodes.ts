import { mergeAttributes, Node, type NodeConfig } from '@tiptap/core';
import { labelledView } from './labelledView.js';
import { iconItemView } from './iconItemView.js';
import { NEW_MEDIA } from '@anbau/core/pieces';
import { partLabel } from './partKinds.js';

type Attributes = Record<string, unknown>;

/** One part or more, as ProseMirror's content expressions write it. */
const PARTS = 'block+';

/** Attributes with their defaults; copied within the editor they go through the clipboard as JSON. */
function attributesOf(defaults: Attributes): NodeConfig['addAttributes'] {
	return () =>
		Object.fromEntries(
			Object.entries(defaults).map(([name, value]) => [
				name,
				{
					default: value,
					parseHTML: (element: HTMLElement) => {
						const written = element.getAttribute(`data-${name.toLowerCase()}`);
						return written === null ? value : (JSON.parse(written) as unknown);
					},
					renderHTML: (attributes: Attributes) => ({ [`data-${name.toLowerCase()}`]: JSON.stringify(attributes[name]) })
				}
			])
		);
}

/** A part that is edited beside the text: in it stands what it is, and in a few words what it shows. */
function atom(name: string, defaults: Attributes, saysOf: (attributes: Attributes) => string): Node {
	return Node.create({
		name,
		group: 'block',
		atom: true,
		selectable: true,
		draggable: true,
		addAttributes: attributesOf(defaults),
		parseHTML: () => [{ tag: `div[data-part="${name}"]` }],
		renderHTML: ({ node, HTMLAttributes }) => [
			'div',
			mergeAttributes(HTMLAttributes, { 'data-part': name, class: 'part-atom' }),
			['b', {}, partLabel(name)],
			['span', {}, saysOf(node.attrs)]
		]
	});
}

const listed = (value: unknown) => (Array.isArray(value) ? value.map(String).join(', ') : '');
const clipped = (value: unknown) => String(value).replace(/\s+/g, ' ').slice(0, 80);
const SOURCE_WORDS: Record<string, string> = {
	hand: 'chosen by hand',
	attribute: 'of an attribute',
	newest: 'the newest',
	mostSold: 'the most sold',
	sameCategory: 'of the same category',
	recent: 'what this visitor looked at'
};

const ATOMS = [
	atom('button', { label: 'Read more', href: '/' }, ({ label, href }) => `${String(label)} → ${String(href)}`),
	atom('attributeTable', { codes: [] }, ({ codes }) => listed(codes) || 'choose attributes below'),
	atom('documentList', { codes: [] }, ({ codes }) => listed(codes) || 'choose attributes below'),
	atom('pictureRow', { pictures: [] }, ({ pictures }) => {
		const count = Array.isArray(pictures) ? pictures.length : 0;
		return count === 0 ? 'add pictures below' : `${count} pictures`;
	}),
	atom(
		'productList',
		{ source: 'sameCategory', keys: [], code: null, count: 4, heading: '' },
		({ source, heading, count }) =>
			`${heading ? `${String(heading)}: ` : ''}${String(count)}, ${SOURCE_WORDS[String(source)] ?? ''}`
	),
	atom('media', NEW_MEDIA, ({ type, alt, address }) => {
		const words = { picture: 'a picture', film: 'a film', embed: 'from another site' }[String(type)] ?? '';
		return address === '' ? 'choose it below' : `${words} ${clipped(alt)}`;
	}),
	atom('reviewQuote', { id: '-' }, ({ id }) => (id === '-' ? 'choose a review below' : 'in a customer’s words')),
	atom('rawHtml', { html: '' }, ({ html }) => clipped(html) || 'write it below'),
	atom('snippet', { title: 'Snippet', code: '', height: 300 }, ({ title }) => `${String(title)}, in a frame of its own`)
];

function holder(name: string, config: Partial<NodeConfig>): Node {
	return Node.create({
		name,
		parseHTML: () => [{ tag: `div[data-part="${name}"]` }],
		renderHTML: ({ HTMLAttributes }) => [
			'div',
			mergeAttributes(HTMLAttributes, { 'data-part': name, class: `part-${name}` }),
			0
		],
		...config
	});
}

const HOLDERS = [
	holder('columns', { group: 'block', content: 'column{2,4}', isolating: true }),
	holder('column', { content: PARTS, isolating: true }),
	holder('dialogButton', {
		group: 'block',
		content: PARTS,
		isolating: true,
		defining: true,
		addAttributes: attributesOf({ label: 'Read more' }),
		addNodeView: () =>
			labelledView({ attribute: 'label', label: 'What the button says', className: 'part-dialogButton' })
	}),
	holder('accordion', {
		group: 'block',
		content: 'accordionPanel+',
		isolating: true,
		addAttributes: attributesOf({ many: false, open: 'none' })
	}),
	holder('accordionPanel', {
		content: PARTS,
		isolating: true,
		defining: true,
		addAttributes: attributesOf({ heading: '' }),
		addNodeView: () =>
			labelledView({ attribute: 'heading', label: 'Heading of the panel', className: 'part-accordionPanel' })
	}),
	holder('iconList', {
		group: 'block',
		content: 'iconItem+',
		addAttributes: attributesOf({ direction: 'column', size: 20, colour: null })
	}),
	holder('iconItem', {
		content: 'inline*',
		defining: true,
		addAttributes: attributesOf({ icon: 'check' }),
		addNodeView: () => iconItemView,
		addKeyboardShortcuts() {
			return {
				Enter: () => this.editor.isActive('iconItem') && this.editor.commands.splitBlock({ keepMarks: true }),
				Backspace: () => {
					const { empty, $from } = this.editor.state.selection;
					const isEmptyItem = empty && $from.parent.type.name === 'iconItem' && $from.parent.content.size === 0;
					return (
						isEmptyItem && this.editor.commands.deleteNode($from.node(-1).childCount > 1 ? 'iconItem' : 'iconList')
					);
				}
			};
		}
	})
];

/** The parts that the editor has beside text, lists and tables. */
export const PART_NODES: readonly Node[] = [...ATOMS, ...HOLDERS];
