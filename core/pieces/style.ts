import { z } from 'zod';
import { srcFault } from './address.js';

/** A colour as `#rrggbb`. */
export const colourSchema = z
	.string()
	.regex(/^#[0-9a-f]{6}$/i, 'must be a colour like #2c5b43')
	.transform((colour) => colour.toLowerCase());

const pixels = (most: number) => z.number().int('must be a whole number').min(0).max(most);

/**
 * What the owner sets of how pieces look; what is not set is the theme's. The store has one style for all pieces, a
 * piece may have its own above it.
 */
export const styleSchema = z.strictObject({
	text: colourSchema.nullish(),
	background: colourSchema.nullish(),
	accent: colourSchema.nullish(),
	border: colourSchema.nullish(),
	borderWidth: pixels(12).nullish(),
	radius: pixels(60).nullish(),
	padding: pixels(120).nullish(),
	iconSize: pixels(96).nullish(),
	picture: z
		.string()
		.max(2000)
		.superRefine((address, context) => {
			const message = srcFault(address);
			if (message) context.addIssue({ code: 'custom', message });
		})
		.nullish()
});
export type Style = z.infer<typeof styleSchema>;

const PIXELS = { borderWidth: 'border-width', radius: 'radius', padding: 'padding', iconSize: 'icon-size' } as const;
const COLOURS = ['text', 'background', 'accent', 'border'] as const;

/** A style as CSS custom properties, `--anbau-accent: #2c5b43`; empty for a style that sets nothing. */
export function styleProperties(style: Style): Record<string, string> {
	const properties: Record<string, string> = {};
	for (const name of COLOURS) {
		const colour = style[name];
		if (colour) properties[`--anbau-${name}`] = colour;
	}
	for (const [name, property] of Object.entries(PIXELS)) {
		const value = style[name as keyof typeof PIXELS];
		if (typeof value === 'number') properties[`--anbau-${property}`] = `${value}px`;
	}
	if (style.picture)
		properties['--anbau-picture'] = `url("${style.picture.replace(/["\\\n\r]/g, encodeURIComponent)}")`;
	return properties;
}

/** A style as the attribute that the storefront's script applies; null for one that sets nothing. */
export function styleAttribute(style: Style): string | null {
	const properties = styleProperties(style);
	return Object.keys(properties).length === 0 ? null : JSON.stringify(properties);
}
