import { z } from 'zod';
import { hrefFault, srcFault as webFault } from './address.js';
import { element, escapeHtml } from './html.js';
import { templateOf } from './inline.js';
import type { LiveContext } from './liveContext.js';
import { BodyRenderer } from './render.js';

/** What a media piece shows. */
export const MEDIA_TYPES = ['picture', 'film'] as const;
export type MediaType = (typeof MEDIA_TYPES)[number];

/** An uploaded picture or film by what it is. */
const UPLOADED = /^media:([0-9a-f]{64}\.[a-z0-9]{2,5})$/;

/** Why an address is no source of media; null when it is: of the web, or of an upload. */
export function mediaFault(address: string): string | null {
	return UPLOADED.test(address) ? null : webFault(address);
}

const src = templateOf(2000, (text) => (text === '' ? null : mediaFault(text)));

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
	const address = renderer.address(settings.address, mediaFault);
	if (address.text === null) return nothing(address.missing);
	const source = served(address.text, context.base);
	const words = (template: string) => {
		const { text, missing } = renderer.text(template);
		return missing.length > 0 ? '' : text;
	};
	const other = (template: string, fault: (text: string) => string | null) => {
		const text = template === '' ? null : renderer.address(template, fault).text;
		return text === null ? null : served(text, context.base);
	};
	const caption = words(settings.caption);
	const alt = words(settings.alt);
	const shown =
		settings.type === 'picture'
			? picture(source, alt, other(settings.href, hrefFault))
			: film(source, alt, other(settings.poster, mediaFault), other(settings.captions, mediaFault));
	const said = caption === '' ? '' : element('figcaption', {}, escapeHtml(caption));
	// A custom property, set by the script: a policy may forbid a style attribute.
	const shape =
		settings.type === 'film' ? JSON.stringify({ '--anbau-ratio': settings.ratio.replace(':', ' / ') }) : null;
	const own = { class: `anbau-media anbau-${settings.type}`, 'data-anbau-style': shape };
	return { html: element('figure', own, shown + said), missing: [], until: renderer.until };
}

/** An upload's public address; any other stays as it is. */
function served(address: string, base: string): string {
	const [, file] = UPLOADED.exec(address) ?? [];
	return file === undefined ? address : `${base}/media/${file}`;
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
