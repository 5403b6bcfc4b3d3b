import type { NodeViewRenderer } from '@tiptap/core';
import { ICON_NAMES, iconShapes, type IconName } from '@anbau/core/pieces';

const SVG = 'http://www.w3.org/2000/svg';
const isShipped = (name: string): name is IconName => (ICON_NAMES as readonly string[]).includes(name);

function drawing(name: string): Element {
	const svg = document.createElementNS(SVG, 'svg');
	svg.setAttribute('viewBox', '0 0 24 24');
	svg.setAttribute('aria-hidden', 'true');
	for (const [shape, attributes] of isShipped(name) ? iconShapes(name) : []) {
		const element = document.createElementNS(SVG, shape);
		for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value);
		svg.append(element);
	}
	return svg;
}

/** An item of an icon list: its icon, which is chosen below the text, and its line. */
export const iconItemView: NodeViewRenderer = ({ node }) => {
	let icon = node.attrs.icon as string | null;
	const dom = document.createElement('div');
	dom.className = 'part-iconItem';
	const mark = document.createElement('span');
	mark.contentEditable = 'false';
	const contentDOM = document.createElement('div');
	const show = () => mark.replaceChildren(icon === null ? '' : icon.startsWith('own:') ? '◆' : drawing(icon));
	dom.append(mark, contentDOM);
	show();
	return {
		dom,
		contentDOM,
		ignoreMutation: ({ target }) => mark.contains(target),
		update: (updated) => {
			if (updated.type !== node.type) return false;
			icon = updated.attrs.icon as string | null;
			show();
			return true;
		}
	};
};
