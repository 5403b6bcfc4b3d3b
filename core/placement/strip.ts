import type { TabEntry } from './document.js';
import type { TabException } from './exception.js';
import { byOrder, type Ordered } from './order.js';
import type { HouseTab } from './theme.js';

/** A theme's tab as one product has it: hidden, shown, or elsewhere in the order. */
export function tabOnProduct(tab: HouseTab, own: readonly TabException[]): HouseTab {
	return own.reduce((changed, exception) => {
		if (exception.houseTab !== tab.slug) return changed;
		if (exception.mode === 'priority') return { ...changed, priority: exception.priority };
		return { ...changed, hidden: exception.mode === 'hide' };
	}, tab);
}

/**
 * The tab strip: the theme's own tabs and those of pieces in one order. A hidden tab of the theme is in it and says
 * so. `iconSvg` draws an icon by its name.
 */
export function mergedStrip(
	houseTabs: readonly HouseTab[],
	pieces: readonly (TabEntry & Ordered)[],
	iconSvg: (name: string) => string
): TabEntry[] {
	const house = houseTabs.map(({ slug, name, hidden, priority, icon, binding }) => {
		const drawn = icon === null ? '' : iconSvg(icon);
		const entry: TabEntry = { source: 'house', slug, heading: name, icon: drawn || null, priority, hidden };
		if (binding !== null) entry.binding = binding;
		return { entry, priority, since: null, id: slug };
	});
	const own = pieces.map(({ since, id, ...entry }) => ({ entry, priority: entry.priority, since, id }));
	return [...house, ...own].sort(byOrder).map(({ entry }) => entry);
}
