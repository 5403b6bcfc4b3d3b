import type { TabEntry } from '@anbau/core/placement';

/** A tab of the theme's own: its label, and the panel that it shows. */
export interface HouseTab {
	slug: string;
	heading: string;
	panel: HTMLElement;
	/** Whether it is the one that a tab of the page names. */
	isBound?: (tab: TabEntry) => boolean;
}

/** A theme's tab strip as it was understood. */
export interface HouseStrip {
	/** The element whose width counts. */
	container: Element;
	/** Where panels of pieces go, beside the theme's. */
	home: Element;
	/** What the list of tabs goes before; null for the start of the home. */
	before: Element | null;
	tabs: HouseTab[];
	/** Gives the theme its own form back. */
	undo?: () => void;
}

/** The strip where a page's tabs go. */
export interface Strips {
	stripAt(element: Element, tabs: TabEntry[]): HouseStrip | null;
}

/**
 * A theme's strip whatever it is made of; null where it marks its panels itself. One that is not understood is left alone, and an own strip stands below it;
 * so is one that would show what it shows anyway.
 */
export function stripAt(element: Element, tabs: TabEntry[]): HouseStrip | null {
	if (element.querySelector('[data-anbau-tab]')) return null;
	const strip = understand(element);
	if (!strip) return element.hasAttribute('data-anbau-hook') ? inMarker(element) : below(element);
	const isSame = tabs.every((tab, i) => {
		const own = strip.tabs[i];
		const isAsBrought = tab.source === 'house' && !tab.hidden && !tab.icon && own?.heading === tab.heading;
		return isAsBrought && own.isBound?.(tab);
	});
	if (!isSame) return strip;
	strip.undo?.();
	return { ...strip, tabs: [], undo: () => undefined };
}

function inMarker(container: Element): HouseStrip {
	return { container, home: container, before: null, tabs: [] };
}

/** A strip of our own below an element. */
function below(element: Element): HouseStrip {
	const holder = document.createElement('div');
	holder.className = 'anbau-hook';
	holder.dataset.anbauMade = 'tabs-below';
	element.after(holder);
	return { ...inMarker(holder), undo: () => holder.remove() };
}

/** What a reader found: labels with panels, what the theme controls them with, and what it had to change. */
interface Reading {
	pairs: [label: string, panel: Element | null | undefined][];
	controls: Element[];
	/** Dresses the panels for being shown by us; answers how to undo that. */
	open?: () => () => void;
}

/** Reads a theme's tab strip; null where it is not understood, and then nothing of it is touched. */
function understand(container: Element): HouseStrip | null {
	// What lies in a shadow tree has styles of its own and is left alone.
	if (container.shadowRoot) return null;
	for (const read of [ariaTabs, details, radios, anchors, headings]) {
		const reading = read(container);
		const tabs = reading?.pairs.flatMap(([label, panel]) =>
			panel instanceof HTMLElement ? [tabOf(label, panel)] : []
		);
		const [first] = tabs ?? [];
		if (!reading || !tabs || !first || tabs.length < reading.pairs.length) continue;
		const close = reading.open?.();
		for (const control of reading.controls) control.classList.add('anbau-taken');
		const [control] = reading.controls;
		return {
			container,
			home: first.panel.parentElement ?? container,
			before: control && !first.panel.contains(control) ? control : first.panel,
			tabs,
			undo: () => {
				for (const one of reading.controls) one.classList.remove('anbau-taken');
				close?.();
			}
		};
	}
	return null;
}

function tabOf(heading: string, panel: HTMLElement): HouseTab {
	const slug = slugOf(heading);
	const isBound = (tab: TabEntry) => {
		try {
			return tab.binding
				? panel.matches(tab.binding)
				: slug === tab.slug || heading.toLowerCase() === tab.heading.toLowerCase();
		} catch {
			// A selector that no browser takes binds nothing.
			return false;
		}
	};
	return { slug, heading, panel, isBound };
}

const labelOf = (element: Element | null | undefined): string =>
	element?.textContent?.trim().replace(/\s+/g, ' ') ?? '';

const slugOf = (label: string): string => label.toLowerCase().replace(/\W+/g, '-');

/** `role="tab"` with `aria-controls` (W3C ARIA Authoring Practices, tabs). */
function ariaTabs(container: Element): Reading | null {
	const tabs = [...container.querySelectorAll('[role="tab"][aria-controls]')];
	if (tabs.length === 0) return null;
	const panel = (tab: Element) => document.getElementById(tab.getAttribute('aria-controls') ?? '');
	const list = tabs[0]?.closest('[role="tablist"]');
	return { pairs: tabs.map((tab) => [labelOf(tab), panel(tab)]), controls: list ? [list] : tabs };
}

/** `details` with a `summary`, exclusive ones too. */
function details(container: Element): Reading | null {
	const all = [...container.querySelectorAll('details')].filter((one) => one.matches(':has(> summary):not(details *)'));
	if (all.length === 0) return null;
	const summaries = all.flatMap((one) => one.querySelector('summary') ?? []);
	return {
		pairs: summaries.map((one, i) => [labelOf(one), all[i]]),
		controls: summaries,
		open: () => {
			const before = all.map((one) => [one, one.open, one.getAttribute('name')] as const);
			for (const one of all) {
				one.removeAttribute('name');
				one.open = true;
			}
			return () => {
				for (const [one, open, name] of before) {
					one.open = open;
					if (name !== null) one.setAttribute('name', name);
				}
			};
		}
	};
}

/** Radio buttons with labels that show one of several panels by CSS. */
function radios(container: Element): Reading | null {
	const inputs = [...container.querySelectorAll<HTMLInputElement>('[type="radio"]')];
	const labels = inputs.map((input) => input.labels?.[0]);
	const parent = inputs[0]?.parentElement;
	if (inputs.length < 2 || !parent || labels.some((label) => !label)) return null;
	const rest = [...parent.children, ...(parent === container ? [] : container.children)].filter(
		(one) => !one.matches('input, label, script, style, :has([type="radio"], label[for])')
	);
	const group = [rest, ...rest.map((one) => [...one.children])].find((list) => list.length === inputs.length);
	if (!group) return null;
	return {
		pairs: labels.map((label, i) => [labelOf(label), group[i]]),
		controls: [...inputs, ...labels.flatMap((one) => one ?? [])]
	};
}

/** Links to sections of the same page. */
function anchors(container: Element): Reading | null {
	const target = (link: HTMLAnchorElement) =>
		link.hash === '' ? null : container.querySelector(`#${CSS.escape(link.hash.slice(1))}`);
	const links = [...container.querySelectorAll<HTMLAnchorElement>('a[href^="#"]')].filter((link) => target(link));
	const outside = links.filter((link) => !links.some((other) => target(other)?.contains(link)));
	if (outside.length < 2) return null;
	const list = outside[0]?.closest('ul, ol, nav');
	const holdsAll = list && outside.every((link) => list.contains(link));
	return { pairs: outside.map((link) => [labelOf(link), target(link)]), controls: holdsAll ? [list] : outside };
}

/** Headings, each with what follows it up to the next; sections that begin with one. */
function headings(container: Element): Reading | null {
	const isHeading = (one: Element | null) => /^H[2-4]$/.test(one?.tagName ?? '');
	const sections = [...container.children].filter((one) => isHeading(one.firstElementChild));
	if (sections.length > 1 && sections.length === container.children.length) {
		const heads = sections.flatMap((one) => one.firstElementChild ?? []);
		return { pairs: sections.map((one, i) => [labelOf(heads[i]), one]), controls: heads };
	}
	const heads = [...container.children].filter(isHeading);
	if (heads.length < 2) return null;
	const wraps = heads.map((head) => wrapOf(head, (node) => node instanceof Element && heads.includes(node)));
	return {
		pairs: heads.map((head, i) => [labelOf(head), wraps[i]?.wrap]),
		controls: heads,
		open: () => {
			for (const { wrap, head, nodes } of wraps) {
				head.before(wrap);
				wrap.append(head, ...nodes);
			}
			return () => {
				for (const { wrap } of wraps) wrap.replaceWith(...wrap.childNodes);
			};
		}
	};
}

/** An element to take a heading and all that follows up to the next one. */
function wrapOf(head: Element, isNext: (node: Node) => boolean) {
	const nodes: ChildNode[] = [];
	for (let node = head.nextSibling; node && !isNext(node); node = node.nextSibling) nodes.push(node);
	return { wrap: document.createElement('section'), head, nodes };
}
