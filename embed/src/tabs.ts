/** A tab to be made: its label, and the panel that it shows. */
export interface StripTab {
	slug: string;
	heading: string;
	icon?: Node | string | null | undefined;
	panel: HTMLElement;
}

/** Where a strip is made: the element whose width counts, and what the list of tabs goes before. */
interface Place {
	container: Element;
	before: Element | null;
}

interface Made extends StripTab {
	button: HTMLButtonElement;
}

/**
 * Builds a tab strip by the W3C ARIA Authoring Practices' tabs pattern with automatic activation, and by their
 * accordion pattern while its container is `accordionBelow` pixels wide or less. Closed panels are
 * `hidden="until-found"`, so that the browser's own search opens them; a link to `#tab-slug` opens its tab. Answers
 * how to take it apart again.
 */
export function buildStrip({ container, before }: Place, tabs: StripTab[], accordionBelow: number): () => void {
	if (tabs.length === 0) return () => undefined;
	const strip = new Strip(tabs.map((tab) => ({ ...tab, button: buttonOf(tab) })));
	if (before) before.before(strip.list);
	else container.prepend(strip.list);
	const look = () => strip.show(container.clientWidth <= accordionBelow);
	const onHash = () => strip.openNamed()?.button.scrollIntoView({ block: 'nearest' });
	look();
	if (!strip.openNamed()) strip.openFirst();
	const sizes = new ResizeObserver(look);
	sizes.observe(container);
	addEventListener('hashchange', onHash);
	return () => {
		sizes.disconnect();
		removeEventListener('hashchange', onHash);
		strip.takeApart();
	};
}

class Strip {
	readonly list = document.createElement('div');
	private isAccordion = false;
	private readonly restores: (() => void)[];

	constructor(private readonly tabs: Made[]) {
		this.list.className = 'anbau anbau-tablist';
		this.list.addEventListener('keydown', (event) => {
			const next = neighbour(tabs, event);
			if (!next) return;
			event.preventDefault();
			this.open(next);
			next.button.focus();
		});
		this.restores = tabs.map(dress);
		for (const tab of tabs) {
			const { button, panel } = tab;
			this.list.append(button);
			button.addEventListener('click', () => this.open(tab, this.isAccordion && !panel.hidden));
			panel.addEventListener('beforematch', () => this.open(tab));
		}
	}

	/** Opens the tab that the page's address names. */
	openNamed(): Made | undefined {
		const tab = this.tabs.find(({ slug }) => location.hash === `#tab-${slug}`);
		if (tab) this.open(tab);
		return tab;
	}

	/** Opens the first tab that this device shows. */
	openFirst(): void {
		this.open(this.tabs.find(({ panel }) => isShown(panel)) ?? this.tabs[0]);
	}

	/** Opens a panel, or closes it; in a strip the others close. Says to assistive technology what is open. */
	private open(tab: Made | undefined, close = false): void {
		const { isAccordion } = this;
		for (const { button, panel } of this.tabs) {
			const isChosen = panel === tab?.panel;
			const isOpen = isChosen ? !close : isAccordion && !panel.hidden;
			set(panel, {
				hidden: isOpen ? null : 'until-found',
				role: isAccordion ? 'region' : 'tabpanel',
				tabindex: isAccordion ? null : isOpen ? '0' : '-1'
			});
			set(button, {
				role: isAccordion ? null : 'tab',
				tabindex: isAccordion || isOpen ? '0' : '-1',
				'aria-selected': isAccordion ? null : String(isOpen),
				'aria-expanded': isAccordion ? String(isOpen) : null
			});
		}
		set(this.list, { role: isAccordion ? null : 'tablist', hidden: isAccordion ? '' : null });
	}

	/** Makes an accordion of the strip, or a strip of the accordion. */
	show(asAccordion: boolean): void {
		if (asAccordion === this.isAccordion) return;
		this.isAccordion = asAccordion;
		const opened = this.tabs.find(({ panel }) => !panel.hidden);
		let last: Element | undefined;
		for (const { button, panel } of this.tabs) {
			const head = asAccordion ? document.createElement('h3') : button.parentElement;
			if (!head) continue;
			if (asAccordion) {
				// The order of the tabs becomes the order of the page.
				if (last) last.after(head);
				else panel.before(head);
				head.className = 'anbau anbau-head';
				alike(head, panel);
				head.append(button);
				head.after(panel);
				last = panel;
			} else {
				this.list.append(button);
				head.remove();
			}
		}
		this.open(opened);
	}

	takeApart(): void {
		this.show(false);
		this.list.remove();
		for (const restore of this.restores.reverse()) restore();
	}
}

/** Shows a part of a tab on the devices that its panel is for. */
const alike = (part: Element, panel: Element) =>
	set(part, { 'data-anbau-devices': panel.getAttribute('data-anbau-devices') });

/** Whether this device shows a panel at all, be it open or closed. */
const isShown = (panel: Element) => getComputedStyle(panel).display !== 'none';

function set(element: Element, attributes: Record<string, string | null>): void {
	for (const [name, value] of Object.entries(attributes)) {
		if (value === null) element.removeAttribute(name);
		else if (element.getAttribute(name) !== value) element.setAttribute(name, value);
	}
}

let strips = 0;

function buttonOf(tab: StripTab): HTMLButtonElement {
	const button = document.createElement('button');
	button.type = 'button';
	button.id = `anbau-tab-${++strips}-${tab.slug}`;
	button.className = 'anbau-tab';
	alike(button, tab.panel);
	button.append(tab.icon ?? '', tab.heading);
	return button;
}

/** Makes a panel of an element; answers how to give it back its own attributes and its place. */
function dress({ panel, slug, button }: Made): () => void {
	const names = ['id', 'role', 'aria-labelledby', 'tabindex', 'hidden', 'class'];
	const before = Object.fromEntries(names.map((name) => [name, panel.getAttribute(name)]));
	const { parentNode: parent, nextSibling: next } = panel;
	panel.id ||= `tab-${slug}`;
	panel.classList.add('anbau-panel');
	set(panel, { 'aria-labelledby': button.id, hidden: 'until-found' });
	button.setAttribute('aria-controls', panel.id);
	// The tab says it for the eye; the outline of the page keeps it.
	const label = panel.querySelector('[data-anbau-label]');
	label?.classList.add('anbau-said');
	return () => {
		label?.classList.remove('anbau-said');
		set(panel, before);
		if (panel.isConnected && parent?.isConnected) parent.insertBefore(panel, next?.parentNode === parent ? next : null);
	};
}

/** The tab that a key leads to; tabs that this device does not show are passed over. */
function neighbour(tabs: Made[], event: KeyboardEvent): Made | undefined {
	const shown = tabs.filter((tab) => tab.button.offsetParent !== null);
	const at = shown.findIndex((tab) => tab.button === event.target);
	if (at < 0) return undefined;
	// Counted from the end where negative.
	const steps: Record<string, number> = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: -1 };
	const to = steps[event.key];
	return to === undefined ? undefined : shown.at(to % shown.length);
}
