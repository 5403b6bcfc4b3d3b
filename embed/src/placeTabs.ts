import { panelAttributes } from '@anbau/core/placement/onPage';
import type { PageDocument, TabEntry } from '@anbau/core/placement';
import type { Placed } from './place.js';
import type { HouseStrip, HouseTab, Strips } from './strips.js';
import { buildStrip, type StripTab } from './tabs.js';

/** Merges the page's tabs with the theme's own, and makes strips of tab pieces that hang elsewhere. */
export function placeTabs(
	placed: Placed,
	{ tabs, strip: { accordionBelow } }: PageDocument,
	strips: Strips | null
): void {
	for (const container of placed.root.querySelectorAll('.anbau-slot [data-anbau-tabs]')) {
		const { tabs: own, before } = markedStrip(container, ':scope > *');
		buildStrip({ container, before }, own, accordionBelow);
	}
	const element = tabs.length > 0 && placed.finder.at('tabs');
	if (!element) {
		if (tabs.some(isOfPiece)) placed.missing.push('tabs');
		return;
	}
	const strip = strips?.stripAt(element, tabs) ?? markedStrip(element, '[data-anbau-tab]');
	const added: HTMLElement[] = [];
	const hidden: HTMLElement[] = [];
	const shown: StripTab[] = [];
	for (const tab of tabs) {
		if (isOfPiece(tab)) {
			const panel = placed.hold('section', panelAttributes(tab), tab.html ?? '', tab.heading);
			if (panel) {
				added.push(panel);
				shown.push({ ...tab, panel });
			}
			continue;
		}
		const own = strip.tabs.find((one) => isMeant(one, tab));
		if (!own) continue;
		strip.tabs.splice(strip.tabs.indexOf(own), 1);
		if (tab.hidden) hidden.push(own.panel);
		else shown.push({ ...tab, panel: own.panel });
	}
	// Panels of the theme that Anbau was never told of stay, behind the others.
	shown.push(...strip.tabs);
	const closed = hidden.filter((panel) => !panel.hidden);
	for (const panel of closed) panel.hidden = true;
	strip.home.append(...added);
	const undo = buildStrip(strip, shown, accordionBelow);
	placed.add(strip.container, () => {
		undo();
		for (const panel of closed) panel.hidden = false;
		strip.undo?.();
	});
	for (const panel of added) placed.add(panel, () => panel.remove());
}

const isOfPiece = (tab: TabEntry): boolean => tab.source === 'piece';

/** Whether a panel of the theme is the one that a tab names: by its binding or its slug, or by what its label says. */
function isMeant({ slug, heading, isBound }: HouseTab, tab: TabEntry): boolean {
	return isBound ? isBound(tab) : slug === tab.slug || heading === tab.heading;
}

/** A strip whose panels the theme marks, or that is a piece's own. */
function markedStrip(container: Element, panels: string): HouseStrip {
	const tabs = [...container.querySelectorAll<HTMLElement>(panels)].map((panel): HouseTab => {
		const slug = panel.dataset.anbauTab ?? '';
		const label = panel.querySelector('[data-anbau-label], h2, h3');
		return { slug, heading: label?.textContent?.trim() || slug, panel };
	});
	return { container, home: container, before: tabs[0]?.panel ?? null, tabs };
}
