import { Extension } from '@tiptap/core';
import Suggestion, { type SuggestionProps } from '@tiptap/suggestion';
import { partsNamed, type PartKind } from './partKinds.js';

/** The most height that the list takes. */
const HEIGHT = 300;

/** The list of parts that `/` opens at the cursor. */
export class SlashMenu {
	open = $state(false);
	parts = $state.raw<readonly PartKind[]>([]);
	active = $state(0);
	place = $state.raw<{ left: number; top: number }>({ left: 0, top: 0 });
	private choose: (part: PartKind) => void = () => undefined;
	private rectOf: () => DOMRect | null = () => null;
	private frame = 0;

	pick(part: PartKind | undefined): void {
		if (part) this.choose(part);
	}

	private show({ items, command, clientRect }: SuggestionProps<PartKind, PartKind>): void {
		this.parts = items;
		this.active = Math.min(this.active, Math.max(0, items.length - 1));
		this.choose = command;
		this.rectOf = clientRect ?? (() => null);
		this.open = items.length > 0;
		this.follow();
	}

	/** Stands under the cursor, or above it where there is no room below, wherever the page moves it meanwhile. */
	private follow = (): void => {
		cancelAnimationFrame(this.frame);
		if (!this.open) return;
		const rect = this.rectOf();
		if (rect) {
			const top = rect.bottom + HEIGHT > innerHeight ? rect.top - HEIGHT : rect.bottom + 6;
			const left = Math.min(rect.left, innerWidth - 280);
			if (top !== this.place.top || left !== this.place.left) this.place = { left, top };
		}
		this.frame = requestAnimationFrame(this.follow);
	};

	private press(key: string): boolean {
		const { length } = this.parts;
		if (!this.open) return false;
		if (key === 'ArrowDown') this.active = (this.active + 1) % length;
		else if (key === 'ArrowUp') this.active = (this.active - 1 + length) % length;
		else if (key === 'Enter' || key === 'Tab') this.pick(this.parts[this.active]);
		else if (key === 'Escape') this.open = false;
		else return false;
		return true;
	}

	/** The editor's extension that opens this list. */
	extension(): Extension {
		const show = this.show.bind(this);
		const press = this.press.bind(this);
		const begin = () => (this.active = 0);
		const close = () => (this.open = false);
		return Extension.create({
			name: 'slash',
			addProseMirrorPlugins() {
				return [
					Suggestion<PartKind, PartKind>({
						editor: this.editor,
						char: '/',
						allowedPrefixes: [' '],
						items: ({ query }) => partsNamed(query),
						command: ({ editor, range, props }) => {
							editor.chain().focus().deleteRange(range).insertContent(props.make()).run();
						},
						render: () => ({
							onStart: (props) => (begin(), show(props)),
							onUpdate: show,
							onKeyDown: ({ event }) => press(event.key),
							onExit: close
						})
					})
				];
			}
		});
	}
}
