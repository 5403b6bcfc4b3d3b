import { modeLrgb, modeRgb, useMode, wcagContrast } from 'culori/fn';
import type { Style } from './style.js';

useMode(modeRgb);
useMode(modeLrgb);

/** The least contrast of text to its ground: WCAG 2.2, success criterion 1.4.3 (level AA, text of usual size). */
export const LEAST_CONTRAST = 4.5;

/** The contrast of two colours `#rrggbb`, from 1 to 21 (WCAG 2.2, relative luminance). */
export function contrast(text: string, background: string): number {
	return wcagContrast(text, background);
}

/** What is hard to read in a style, as plain sentences; none when all is well or the theme decides. */
export function contrastFaults(style: Style): string[] {
	const faults: string[] = [];
	const check = (what: string, colour: string | null | undefined) => {
		if (!colour || !style.background) return;
		const ratio = contrast(colour, style.background);
		if (ratio < LEAST_CONTRAST)
			faults.push(
				`${what} ${colour} on ${style.background} has a contrast of ${ratio.toFixed(1)} : 1; ${LEAST_CONTRAST} : 1 is the least that everyone can read`
			);
	};
	check('Text', style.text);
	check('The accent', style.accent);
	if (style.background && !style.text)
		faults.push('A background without a text colour takes the theme’s text, which may not be readable on it');
	return faults;
}
