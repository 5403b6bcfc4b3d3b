import { z } from 'zod';
import { hrefFault, srcFault } from './address.js';
import { element, escapeHtml } from './html.js';
import { templateOf } from './inline.js';
import type { LiveContext } from './liveContext.js';
import { BodyRenderer } from './render.js';

/** What a media piece shows. */
export const MEDIA_TYPES = ['picture', 'film'] as const;
export type MediaType = (typeof MEDIA_TYPES)[number];

const src = templateOf(2000, (text) => (text === '' ? null : srcFault(text)));

/** What a media piece shows: addresses and words may hold live values, so that each product shows its own. */
export const mediaSettings = z.strictObject({
	type: z.enum(MEDIA_TYPES).default('picture'),
	address: src.default(''),
	/** What it shows, for those who cannot see it. */
	alt: templateOf(500).default(''),
	caption: templateOf(500).default(''),
	/** Where a picture leads. */
	href: templateOf(2000, (text) => (text === '' ? null : hrefFault(text))).default(''),
	/** A film's still picture, and its captions as WebVTT. */
	poster: src.default(''),
	captions: src.default(''),
	/** The shape that is kept free, width to height. */
	ratio: z
		.string()
		.regex(/^\d{1,4}:\d{1,4}$/, 'must be a shape like 16:9')
		.default('16:9')
});
export type MediaSettings = z.infer<typeof mediaSettings>;

export const NEW_MEDIA: MediaSettings = {
	type: 'picture',
	address: '',
	alt: '',
	caption: '',
	href: '',
	poster: '',
	captions: '',
	ratio: '16:9'
};

/** A rendered media piece; what is absent stays away with the values that it lacks. */
export interface RenderedMedia {
	html: string;
	missing: string[];
	until: number | null;
}

/**
 * Renders a picture or a film in a frame of its shape, never wider than its column. Without its address nothing is
 * left of it; a still picture, captions or a link that lack a value are left out alone.
 */
export function renderMedia(settings: MediaSettings, context: LiveContext): RenderedMedia {
	const renderer = new BodyRenderer(context);
	const nothing = (missing: string[]) => ({ html: '', missing, until: renderer.until });
	if (settings.address === '') return nothing([]);
	const address = renderer.address(settings.address, srcFault);
	if (address.text === null) return nothing(address.missing);
	const words = (template: string) => {
		const { text, missing } = renderer.text(template);
		return missing.length > 0 ? '' : text;
	};
	const other = (template: string, fault: (text: string) => string | null) =>
		template === '' ? null : renderer.address(template, fault).text;
	const caption = words(settings.caption);
	const alt = words(settings.alt);
	const shown =
		settings.type === 'picture'
			? picture(address.text, alt, other(settings.href, hrefFault))
			: film(address.text, alt, other(settings.poster, srcFault), other(settings.captions, srcFault));
	const said = caption === '' ? '' : element('figcaption', {}, escapeHtml(caption));
	// A custom property, set by the script: a policy may forbid a style attribute.
	const shape =
		settings.type === 'film' ? JSON.stringify({ '--anbau-ratio': settings.ratio.replace(':', ' / ') }) : null;
	const own = { class: `anbau-media anbau-${settings.type}`, 'data-anbau-style': shape };
	return { html: element('figure', own, shown + said), missing: [], until: renderer.until };
}

function picture(address: string, alt: string, href: string | null): string {
	const img = element('img', { src: address, alt, loading: 'lazy' });
	return href === null ? img : element('a', { href }, img);
}

function film(address: string, alt: string, poster: string | null, captions: string | null): string {
	const track = captions === null ? '' : element('track', { kind: 'captions', src: captions, default: true });
	const own = {
		src: address,
		controls: true as const,
		playsinline: true as const,
		preload: poster === null ? 'metadata' : 'none',
		poster,
		'aria-label': alt || null,
		crossorigin: captions === null ? null : 'anonymous'
	};
	return element('video', own, track);
}
