import { Extension } from '@tiptap/core';
import { NodeSelection, Plugin } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';

/** A handle beside the part under the mouse, by which it is dragged to another place. */
export const DragHandle = Extension.create({
	name: 'dragHandle',
	addProseMirrorPlugins: () => [new Plugin({ view: (view) => new Handle(view) })]
});

class Handle {
	private readonly handle = document.createElement('div');
	private pos: number | null = null;

	constructor(private readonly view: EditorView) {
		this.handle.className = 'drag-handle';
		this.handle.draggable = true;
		this.handle.textContent = '⠿';
		this.handle.title = 'Drag to move; Alt with an arrow key moves it too';
		this.handle.setAttribute('aria-hidden', 'true');
		this.handle.addEventListener('dragstart', this.begin);
		this.handle.addEventListener('click', this.select);
		view.dom.parentElement?.append(this.handle);
		view.dom.parentElement?.addEventListener('mousemove', this.follow);
		this.handle.hidden = true;
	}

	/** Stands beside the outermost part at the height of the mouse. */
	private readonly follow = ({ clientY, target }: MouseEvent): void => {
		if (target === this.handle) return;
		for (const child of this.view.dom.children) {
			const { top, bottom } = child.getBoundingClientRect();
			if (clientY < top - 4 || clientY > bottom + 4) continue;
			this.pos =
				this.view.state.doc.resolve(this.view.posAtDOM(child, 0)).depth === 0
					? this.view.posAtDOM(child, 0)
					: this.view.state.doc.resolve(this.view.posAtDOM(child, 0)).before(1);
			const box = this.view.dom.parentElement;
			this.handle.style.top = `${top - (box?.getBoundingClientRect().top ?? 0) + (box?.scrollTop ?? 0)}px`;
			this.handle.hidden = false;
			return;
		}
		this.handle.hidden = true;
	};

	private readonly select = (): void => {
		if (this.pos === null) return;
		this.view.dispatch(this.view.state.tr.setSelection(NodeSelection.create(this.view.state.doc, this.pos)));
		this.view.focus();
	};

	private readonly begin = (event: DragEvent): void => {
		if (this.pos === null || !event.dataTransfer) return;
		this.select();
		const { selection } = this.view.state;
		const slice = selection.content();
		const { dom, text } = this.view.serializeForClipboard(slice);
		event.dataTransfer.clearData();
		event.dataTransfer.setData('text/html', dom.innerHTML);
		event.dataTransfer.setData('text/plain', text);
		event.dataTransfer.effectAllowed = 'move';
		const shown = this.view.nodeDOM(this.pos);
		if (shown instanceof Element) event.dataTransfer.setDragImage(shown, 0, 0);
		this.view.dragging = { slice, move: true };
	};

	destroy(): void {
		this.handle.remove();
		this.view.dom.parentElement?.removeEventListener('mousemove', this.follow);
	}
}
