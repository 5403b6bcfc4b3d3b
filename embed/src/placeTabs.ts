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
		if (tabs.some(isOfPiece)) placed.lacking.push('tabs');
		return;
	}
	const strip = strips?.stripAt(element, tabs) ?? markedStrip(element, '[data-anbau-tab]');
	const shown: StripTab[] = [];
	for (const tab of tabs) {
		const icon = tab.icon && placed.nodesOf(tab.icon);
		if (isOfPiece(tab)) {
			const panel = placed.hold('section', panelAttributes(tab), tab.html ?? '', tab.heading);
			if (!panel) continue;
			strip.home.append(panel);
			placed.add(panel, () => panel.remove());
			shown.push({ ...tab, icon, panel });
			continue;
		}
		const own = strip.tabs.find((one) => isMeant(one, tab));
		if (!own) continue;
		const { panel } = own;
		strip.tabs.splice(strip.tabs.indexOf(own), 1);
		if (!tab.hidden) shown.push({ ...tab, icon, panel });
		else if (!panel.hidden) {
			panel.hidden = true;
			placed.add(panel, () => (panel.hidden = false));
		}
	}
	// Panels of the theme that Anbau was never told of stay, behind the others.
	const undo = buildStrip(strip, [...shown, ...strip.tabs], accordionBelow);
	placed.add(strip.container, () => {
		undo();
		strip.undo?.();
	});
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
