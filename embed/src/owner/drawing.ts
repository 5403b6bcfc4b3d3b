/** A hook as it is on this page. */
export interface DrawnHook {
	id: string;
	title: string;
	pieces: number;
	element: Element;
}

/** Where the desk does what is asked for at a hook. */
interface Links {
	hang(hook: string): string;
	make(hook: string): string;
}

/** The hooks of a page drawn over it, each with a card of what can be done there. */
export class Drawing {
	private readonly layer = document.createElement('div');
	private readonly names = new Map<DrawnHook, { name: HTMLButtonElement; line: HTMLElement }>();
	private card: HTMLElement | null = null;
	private readonly sizes = new ResizeObserver(() => this.place());
	private readonly place = () => this.placeAll();
	private readonly step = (event: KeyboardEvent) => {
		if (event.key === 'Escape') this.close();
	};

	constructor(
		root: ShadowRoot,
		hooks: readonly DrawnHook[],
		private readonly links: Links
	) {
		root.append(this.layer);
		for (const hook of hooks) {
			const name = make('button', 'hook', hook.id);
			name.classList.toggle('full', hook.pieces > 0);
			name.title = `Hangs ${hook.title}`;
			name.addEventListener('click', () => this.open(hook, name));
			const line = make('div', 'line');
			this.layer.append(line, name);
			this.names.set(hook, { name, line });
		}
		this.sizes.observe(document.body);
		addEventListener('resize', this.place);
		addEventListener('keydown', this.step);
		this.placeAll();
	}

	/** A bar of actions at the foot of the window. */
	bar(words: string): { button(label: string, work: () => unknown): void } {
		const bar = make('div', 'bar', words);
		this.layer.append(bar);
		return {
			button: (label, work) => {
				const button = make('button', '', label);
				button.addEventListener('click', () => void work());
				bar.append(button);
			}
		};
	}

	hide(isHidden: boolean): void {
		this.close();
		this.layer.hidden = isHidden;
	}

	end(): void {
		this.sizes.disconnect();
		removeEventListener('resize', this.place);
		removeEventListener('keydown', this.step);
	}

	/** Names stand where their hooks are; one that would cover another goes beside it. */
	private placeAll(): void {
		const taken: DOMRect[] = [];
		for (const [{ element }, { name, line }] of this.names) {
			const { left, top, width } = element.getBoundingClientRect();
			const box = { width: name.offsetWidth || 120, height: 24 };
			let x = Math.max(4, left + scrollX);
			const y = Math.max(0, top + scrollY - 12);
			for (const other of taken)
				if (Math.abs(other.top - y) < box.height && x < other.right + 4 && other.left < x + box.width)
					x = other.right + 4;
			taken.push(new DOMRect(x, y, box.width, box.height));
			Object.assign(name.style, { left: `${x}px`, top: `${y}px` });
			Object.assign(line.style, { left: `${left + scrollX}px`, top: `${top + scrollY}px`, width: `${width}px` });
		}
	}

	private open(hook: DrawnHook, name: HTMLButtonElement): void {
		const isOpen = name.getAttribute('aria-expanded') === 'true';
		this.close();
		if (isOpen) return;
		const card = make('div', 'card');
		const copy = make('button', '', `Copy the name “${hook.id}”`);
		copy.addEventListener('click', () => {
			navigator.clipboard.writeText(hook.id).then(
				() => (copy.textContent = 'Copied.'),
				() => (copy.textContent = hook.id)
			);
		});
		const count = hook.pieces === 1 ? '1 piece hangs' : `${hook.pieces} pieces hang`;
		card.append(
			make('p', '', `${hook.title}: ${count} here in all.`),
			copy,
			leading('Hang a piece', this.links.hang(hook.id)),
			leading('New piece here', this.links.make(hook.id))
		);
		card.style.left = `${Math.min(name.offsetLeft, scrollX + innerWidth - 290)}px`;
		card.style.top = `${name.offsetTop + 28}px`;
		this.layer.append(card);
		this.card = card;
		name.setAttribute('aria-expanded', 'true');
		copy.focus();
	}

	private close(): void {
		this.card?.remove();
		this.card = null;
		for (const { name } of this.names.values()) name.removeAttribute('aria-expanded');
	}
}

function leading(words: string, href: string): HTMLAnchorElement {
	return Object.assign(make('a', '', words), { href, target: '_blank', rel: 'noopener' });
}

/** An element of the owner's mode. */
export function make<Name extends keyof HTMLElementTagNameMap>(
	name: Name,
	className: string,
	text = ''
): HTMLElementTagNameMap[Name] {
	return Object.assign(document.createElement(name), { className, textContent: text });
}
