import type { NodeViewRenderer } from '@tiptap/core';
import { textFault } from '@anbau/core/pieces';

interface Options {
	attribute: string;
	label: string;
	className: string;
}

/** A part whose label is typed in place, above its content. */
export function labelledView({ attribute, label, className }: Options): NodeViewRenderer {
	return ({ node, getPos, view }) => {
		let current = node;
		const dom = document.createElement('div');
		dom.className = className;
		const input = document.createElement('input');
		input.className = 'part-label';
		input.setAttribute('aria-label', label);
		input.placeholder = label;
		const contentDOM = document.createElement('div');
		dom.append(input, contentDOM);
		const show = () => {
			const text = String(current.attrs[attribute] ?? '');
			if (input.value !== text) input.value = text;
			const fault = textFault(text);
			input.setAttribute('aria-invalid', String(fault !== null));
			input.title = fault === null ? '' : `This ${fault}.`;
		};
		input.addEventListener('input', () => {
			const at = getPos();
			if (at === undefined) return;
			view.dispatch(view.state.tr.setNodeMarkup(at, undefined, { ...current.attrs, [attribute]: input.value }));
		});
		show();
		return {
			dom,
			contentDOM,
			stopEvent: ({ target }) => target === input,
			ignoreMutation: ({ target }) => target === input,
			update: (updated) => {
				if (updated.type !== current.type) return false;
				current = updated;
				show();
				return true;
			}
		};
	};
}
