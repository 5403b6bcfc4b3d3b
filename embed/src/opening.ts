import type { PageDocument } from '@anbau/core/placement';
import { isClosed, remember, wordsOf } from './closed.js';
import type { Memory } from './memory.js';

/** Wires what opens, closes and leafs inside placed pieces. */
export type Wire = (nodes: readonly Element[], found: PageDocument, memory: Memory) => void;

export const wire: Wire = (nodes, found, memory) => {
	const all = (selector: string) => nodes.flatMap((node) => [...node.querySelectorAll<HTMLElement>(selector)]);
	all('[data-anbau-accordion]').forEach(accordion);
	all('[data-anbau-dialog]').forEach(dialog);
	all('[data-anbau-closable]').forEach((message) => closable(message, found, memory));
	all('[data-anbau-pictures]').forEach(pictures);
	panels = all('details[data-anbau-panel]');
	openNamed();
};

/** The panels of the page that an address can name. */
let panels: HTMLElement[] = [];
addEventListener('hashchange', () => openNamed());

const isDetails = (element: Element): element is HTMLDetailsElement => element instanceof HTMLDetailsElement;

/**
 * An accordion by the W3C ARIA Authoring Practices: the browser opens its panels by Enter and Space; the arrows, Home
 * and End move between them, and where only one may be open, opening it closes the others.
 */
function accordion(container: HTMLElement): void {
	const own = [...container.children].filter(isDetails);
	const summaries = own.flatMap((panel) => panel.querySelector<HTMLElement>(':scope > summary') ?? []);
	if (container.dataset.anbauAccordion === 'one') {
		for (const panel of own) {
			panel.addEventListener('toggle', () => {
				if (panel.open) for (const other of own) if (other !== panel) other.open = false;
			});
		}
	}
	container.addEventListener('keydown', (event) => {
		const at = summaries.findIndex((summary) => summary === event.target);
		const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: -1 }[event.key];
		if (at < 0 || to === undefined) return;
		event.preventDefault();
		summaries.at(to % summaries.length)?.focus();
	});
}

/** Opens the panel that the page's address names. */
function openNamed(): void {
	const named = panels.find((panel) => location.hash === `#tab-${panel.dataset.anbauPanel}`);
	if (!named || !isDetails(named)) return;
	named.open = true;
	named.scrollIntoView({ block: 'nearest' });
}

/** A modal dialog: the browser keeps the focus inside, closes it by Esc and gives the focus back. */
function dialog(opener: HTMLElement): void {
	const box = opener.querySelector('dialog');
	if (!box) return;
	opener.querySelector('button')?.addEventListener('click', () => box.showModal());
	box.addEventListener('click', (event) => {
		const { target } = event;
		if (target === box || (target instanceof Element && target.closest('[data-anbau-close]'))) box.close();
	});
}

/** What the visitor can close; closed once, it stays closed. */
function closable(message: HTMLElement, { hooks, text, edges }: PageDocument, memory: Memory): void {
	const slot = message.closest<HTMLElement>('.anbau-slot');
	const entry = [...Object.values(hooks).flat(), ...text, ...edges].find(
		({ piece }) => piece === slot?.dataset.anbauPiece
	);
	const close = () => {
		// The slot stays, empty, so that the page is not thought to have lost it.
		slot?.replaceChildren();
		slot?.classList.add('anbau-closed');
	};
	const words = entry && wordsOf(entry);
	if (words && isClosed(memory, words)) close();
	message.querySelector('[data-anbau-close]')?.addEventListener('click', () => {
		if (words) remember(memory, words);
		close();
	});
}

/** A row of pictures with buttons to leaf through; by keyboard and touch it scrolls anyway. */
function pictures(container: HTMLElement): void {
	const row = container.querySelector('ul');
	if (!row || row.children.length < 2) return;
	for (const [name, sign, by] of [
		['Previous picture', '‹', -1],
		['Next picture', '›', 1]
	] as const) {
		const button = document.createElement('button');
		button.type = 'button';
		button.className = 'anbau-leaf';
		button.setAttribute('aria-label', name);
		button.textContent = sign;
		button.addEventListener('click', () => row.scrollBy({ left: by * row.clientWidth * 0.9, behavior: 'smooth' }));
		if (by < 0) container.prepend(button);
		else container.append(button);
	}
}
