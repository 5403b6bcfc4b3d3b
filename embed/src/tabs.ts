import { nodesOf } from './page.js';

/** A tab to be made: its label, and the panel that it shows. */
export interface StripTab {
	slug: string;
	heading: string;
	/** SVG. */
	icon: string | null;
	panel: HTMLElement;
	classes?: string[];
}

/** Makes a tab strip of panels; answers how to take it apart again. */
export type BuildStrip = (container: HTMLElement, tabs: StripTab[]) => () => void;

interface Made extends StripTab {
	button: HTMLButtonElement;
}

/**
 * Builds a tab strip by the W3C ARIA Authoring Practices' tabs pattern with automatic activation. Closed panels are
 * `hidden="until-found"`, so that the browser's own search opens them; a link to `#tab-slug` opens its tab.
 */
export const buildStrip: BuildStrip = (container, tabs) => {
	if (tabs.length === 0) return () => undefined;
	const list = document.createElement('div');
	list.className = 'anbau anbau-tablist';
	list.setAttribute('role', 'tablist');
	const restores: (() => void)[] = [];
	const made = tabs.map((tab): Made => {
		const button = buttonOf(tab);
		list.append(button);
		restores.push(dress(tab, button));
		button.addEventListener('click', () => select(made, tab.slug));
		tab.panel.addEventListener('beforematch', () => select(made, tab.slug));
		return { ...tab, button };
	});
	container.insertBefore(list, container.querySelector(':scope > [data-anbau-tab], :scope > .anbau-panel'));
	list.addEventListener('keydown', (event) => {
		const next = neighbour(made, event);
		if (!next) return;
		event.preventDefault();
		select(made, next.slug);
		next.button.focus();
	});
	const onHash = () => {
		const tab = named(made);
		if (!tab) return;
		select(made, tab.slug);
		tab.button.scrollIntoView({ block: 'nearest' });
	};
	addEventListener('hashchange', onHash);
	select(made, (named(made) ?? made[0])?.slug);
	return () => {
		removeEventListener('hashchange', onHash);
		list.remove();
		for (const restore of restores) restore();
	};
};

/** The tab that the page's address names. */
function named(tabs: Made[]): Made | undefined {
	return tabs.find((tab) => location.hash === `#tab-${tab.slug}`);
}

/** Opens one tab and closes the others. */
function select(tabs: Made[], slug: string | undefined): void {
	for (const { button, panel, slug: own } of tabs) {
		const isChosen = own === slug;
		button.setAttribute('aria-selected', String(isChosen));
		button.tabIndex = panel.tabIndex = isChosen ? 0 : -1;
		if (isChosen) panel.removeAttribute('hidden');
		else panel.setAttribute('hidden', 'until-found');
	}
}

let strips = 0;

function buttonOf(tab: StripTab): HTMLButtonElement {
	const button = document.createElement('button');
	button.type = 'button';
	button.id = `anbau-tab-${++strips}-${tab.slug}`;
	button.className = ['anbau-tab', ...(tab.classes ?? [])].join(' ');
	button.setAttribute('role', 'tab');
	if (tab.icon) button.append(nodesOf(tab.icon));
	button.append(tab.heading);
	return button;
}

/** Makes a panel of an element; answers how to give it back its own attributes. */
function dress({ panel, slug, classes }: StripTab, button: HTMLElement): () => void {
	const names = ['id', 'role', 'aria-labelledby', 'tabindex', 'hidden', 'class'];
	const before = names.map((name) => [name, panel.getAttribute(name)] as const);
	panel.id ||= `tab-${slug}`;
	panel.classList.add('anbau-panel', ...(classes ?? []));
	panel.setAttribute('role', 'tabpanel');
	panel.setAttribute('aria-labelledby', button.id);
	button.setAttribute('aria-controls', panel.id);
	// The tab says it for the eye; the outline of the page keeps it.
	const label = panel.querySelector('[data-anbau-label]');
	label?.classList.add('anbau-said');
	return () => {
		label?.classList.remove('anbau-said');
		for (const [name, value] of before) {
			if (value === null) panel.removeAttribute(name);
			else panel.setAttribute(name, value);
		}
	};
}

/** The tab that a key leads to; tabs that this device does not show are passed over. */
function neighbour(tabs: Made[], event: KeyboardEvent): Made | undefined {
	const shown = tabs.filter((tab) => tab.button.offsetParent !== null);
	const at = shown.findIndex((tab) => tab.button === event.target);
	if (at < 0) return undefined;
	const steps: Record<string, number> = {
		ArrowRight: at + 1,
		ArrowLeft: at - 1 + shown.length,
		Home: 0,
		End: shown.length - 1
	};
	const to = steps[event.key];
	return to === undefined ? undefined : shown[to % shown.length];
}
