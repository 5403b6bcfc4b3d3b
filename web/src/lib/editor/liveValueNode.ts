import { mergeAttributes, Node } from '@tiptap/core';
import { liveValueLabel } from '@anbau/core/pieces';

/** A live value in the editor: a chip with its label, filled in per product when it is shown. */
export const LiveValue = Node.create({
	name: 'liveValue',
	group: 'inline',
	inline: true,
	atom: true,
	selectable: true,
	addAttributes: () => ({ name: { default: '' }, fallback: { default: null } }),
	parseHTML: () => [
		{
			tag: 'span[data-live-value]',
			getAttrs: (element) => ({
				name: element.getAttribute('data-live-value') ?? '',
				fallback: element.getAttribute('data-fallback')
			})
		}
	],
	renderHTML: ({ node, HTMLAttributes }) => {
		const { name, fallback } = node.attrs as { name: string; fallback: string | null };
		const own = { 'data-live-value': name, 'data-fallback': fallback, class: 'live-value' };
		return ['span', mergeAttributes(HTMLAttributes, own), liveValueLabel(name)];
	},
	renderText: ({ node }) => `{${String((node.attrs as { name: string }).name)}}`
});
