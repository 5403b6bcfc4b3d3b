import type { TextPlace } from '@anbau/core/pieces';
import type { EdgeEntry, HookEntry, PageDocument, TabEntry } from './document.js';

/** What the storefront's script and the weave do alike, so that both make the same page. Plain functions, no DOM. */

/** The attributes of an element that holds a piece. */
export type Attributes = Record<string, string>;

/** What every element that holds a piece says: whose it is, and which devices it is for; the style hides it on others. */
const held = (name: string, piece = '', placement = '', devices: readonly string[] = []): Attributes => ({
	class: `anbau anbau-${name}`,
	'data-anbau-piece': piece,
	'data-anbau-placement': placement,
	'data-anbau-devices': devices.join(' ')
});

/** Custom properties, which a policy forbids as an attribute of their own. */
const styled = (properties: Record<string, string | undefined>): Attributes => ({
	'data-anbau-style': JSON.stringify(properties)
});

/** The element that holds a piece on a hook or in the text. */
export function slotAttributes({ piece, placement, width, devices, padding, maxWidth }: HookEntry): Attributes {
	return {
		...held(`slot anbau-${width}`, piece, placement, devices),
		...(padding || maxWidth
			? styled({ '--anbau-side': padding, '--anbau-most': maxWidth ? `${maxWidth}px` : undefined })
			: {})
	};
}

/** The element that floats at an edge of the window; one that is revealed by scrolling waits at first. */
export function edgeAttributes({
	piece,
	placement,
	edge,
	devices,
	insetInline,
	insetBlock,
	reveal
}: EdgeEntry): Attributes {
	return {
		...held(`slot anbau-edge anbau-at-${edge}${reveal > 0 ? ' anbau-waits' : ''}`, piece, placement, devices),
		...styled({ '--anbau-inset-inline': `${insetInline}px`, '--anbau-inset-block': `${insetBlock}px` })
	};
}

/** The panel of a piece's tab. */
export function panelAttributes({ piece, placement, slug, devices }: TabEntry): Attributes {
	return held('panel', piece, `${placement} ${slug}`, devices);
}

/** A short hash of a piece's HTML, by which the script sees that what was woven in is what it would place. */
export function hashOf(html: string): string {
	let hash = 5381;
	for (const char of html) hash = ((hash * 33) ^ char.charCodeAt(0)) >>> 0;
	return hash.toString(36);
}

/** What goes on a hook: a piece, or an element of the theme's own, which comes first of the same number. */
export type OnHook = { entry: HookEntry } | { from: string };

/** What goes on each hook between parts of the page, in order. */
export function onHooks({ hooks, houseParts }: PageDocument): Map<string, OnHook[]> {
	const found = new Map<string, (OnHook & { priority: number })[]>();
	const add = (hook: string, item: OnHook & { priority: number }) =>
		found.set(hook, [...(found.get(hook) ?? []), item]);
	for (const { from, hook, priority } of houseParts) add(hook, { from, priority });
	for (const [hook, entries] of Object.entries(hooks))
		for (const entry of entries) add(hook, { entry, priority: entry.priority });
	for (const list of found.values()) list.sort((a, b) => a.priority - b.priority);
	return found;
}

/**
 * Where in a text something goes: for each direct child of the text container, whether it is a heading, the theme's
 * own content only; answers positions as the number of children before. Paragraph means any child that is no heading.
 * A text with fewer of them has no such place.
 */
export function placesInText(headings: readonly boolean[], { unit, side, n, every }: TextPlace): number[] {
	const counted = headings.flatMap((isHeading, i) => (isHeading === (unit === 'heading') ? [i] : []));
	const chosen = counted.filter((_, i) => (every ? (i + 1) % n === 0 : i + 1 === n));
	return chosen.map((i) => (side === 'above' ? i : i + 1));
}

/** Whether an element is a heading, by its tag name. */
export function isHeadingName(name: string): boolean {
	return /^h[1-6]$/i.test(name);
}
