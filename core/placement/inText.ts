import type { TextPlace } from '@anbau/core/pieces';

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
