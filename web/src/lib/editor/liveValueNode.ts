import { mergeAttributes, Node } from '@tiptap/core';
import { liveValueLabel, type Format, type PluralForms } from '@anbau/core/pieces';

interface Attributes {
	name: string;
	fallback: string | null;
	format: Format | null;
	forms: PluralForms | null;
}

/** A live value in the editor: a chip with its label, filled in per product when it is shown. */
export const LiveValue = Node.create<{ label: (name: string) => string }>({
	name: 'liveValue',
	group: 'inline',
	inline: true,
	atom: true,
	selectable: true,
	addOptions: () => ({ label: (name) => liveValueLabel(name) }),
	addAttributes: () => ({
		name: { default: '' },
		fallback: { default: null },
		format: { default: null },
		forms: { default: null }
	}),
	parseHTML: () => [
		{
			tag: 'span[data-live-value]',
			getAttrs: (element) => JSON.parse(element.getAttribute('data-live-value') ?? '{}') as Attributes
		}
	],
	renderHTML({ node, HTMLAttributes: _written }) {
		const attributes = node.attrs as Attributes;
		const own = { 'data-live-value': JSON.stringify(attributes), class: 'live-value' };
		return ['span', mergeAttributes(own), this.options.label(attributes.name)];
	},
	renderText: ({ node }) => `{${(node.attrs as Attributes).name}}`
});
