import { hostOf } from '@anbau/core/media';
import { hrefFault } from './address.js';
import { frameHtml, isAllowedHost } from './frames.js';
import { element, escapeHtml } from './html.js';
import type { LiveContext } from './liveContext.js';
import { mediaFault, NEW_MEDIA, served, typeOfAddress, uploadOf, type MediaSettings } from './media.js';
import type { BodyRenderer } from './render.js';

/** Media as rendered: no HTML where a value is lacking, or where a frame's host is not on the store's list. */
export interface RenderedMedia {
	html: string;
	missing: string[];
}

/**
 * Renders media in a frame of its shape, never wider than its column. Without its address nothing is left of it; a
 * still picture, captions or a link that lack a value are left out alone.
 */
export function renderMedia(settings: MediaSettings, renderer: BodyRenderer): RenderedMedia {
	const { context } = renderer;
	if (settings.address === '') return { html: '', missing: [] };
	const { text: address, missing } = renderer.address(settings.address, mediaFault);
	if (address === null) return { html: '', missing };
	const words = (template: string) => {
		const { text, missing } = renderer.text(template);
		return missing.length > 0 ? '' : text;
	};
	const other = (template: string, fault: (text: string) => string | null) => {
		const text = template === '' ? null : renderer.address(template, fault).text;
		return text === null ? null : served(text, context.base);
	};
	const said = { caption: words(settings.caption), alt: words(settings.alt) };
	const still = other(settings.poster, mediaFault);
	const figure = (shown: string) => ({ html: figureOf(settings, shown, said.caption), missing: [] });
	if (settings.type === 'picture')
		return figure(linked(picture(address, said.alt, context), other(settings.href, hrefFault)));
	if (settings.type === 'film')
		return figure(film(address, { ...said, still, captions: other(settings.captions, mediaFault) }, settings, context));
	if (!isAllowedHost(address, context)) return { html: '', missing: [] };
	// A picture of that host would tell it of the visit before any click.
	const own = still !== null && hostOf(still) !== hostOf(address) ? still : null;
	return figure(
		frameHtml({ address, title: said.alt, still: own, ratio: settings.ratio, allow: settings.allow }, context)
	);
}

/** Media that an attribute names alone: told by the ending of its address. */
export function attributeMedia(address: string, renderer: BodyRenderer): string {
	const settings = { ...NEW_MEDIA, type: typeOfAddress(address) };
	const shown =
		settings.type === 'film'
			? film(address, { alt: '', still: null, captions: null }, settings, renderer.context)
			: picture(address, '', renderer.context);
	return figureOf(settings, shown, '');
}

function figureOf({ type, ratio }: MediaSettings, shown: string, caption: string): string {
	const said = caption === '' ? '' : element('figcaption', {}, escapeHtml(caption));
	// A custom property, set by the script: a policy may forbid a style attribute.
	const shape = type === 'picture' ? null : JSON.stringify({ '--anbau-ratio': ratio.replace(':', ' / ') });
	return element('figure', { class: `anbau-media anbau-${type}`, 'data-anbau-style': shape }, shown + said);
}

/** Widths in pixels in which uploaded photographs are also served, as WebP and AVIF. */
export const PICTURE_WIDTHS = [480, 960, 1600] as const;

/** A picture; an uploaded photograph also in lighter forms, of which the browser takes what it needs. */
export function picture(address: string, alt: string, context: LiveContext): string {
	const img = element('img', { src: served(address, context.base), alt, loading: 'lazy' });
	const upload = uploadOf(address);
	if (!upload || !['jpg', 'png'].includes(upload.ending)) return img;
	const sources = ['avif', 'webp'].map((form) => {
		const of = (width: number) => `${context.base}/media/${upload.sha256}-${width}.${form} ${width}w`;
		const srcset = PICTURE_WIDTHS.map(of).join(', ');
		return element('source', { type: `image/${form}`, srcset, sizes: 'auto, 100vw' });
	});
	return element('picture', {}, sources.join('') + img);
}

function linked(shown: string, href: string | null): string {
	return href === null ? shown : element('a', { href }, shown);
}

interface FilmWords {
	alt: string;
	still: string | null;
	captions: string | null;
}

/** A film in the browser's own player: by keyboard, with captions and picture in picture. */
function film(
	address: string,
	{ alt, still, captions }: FilmWords,
	{ loops }: MediaSettings,
	context: LiveContext
): string {
	const { locale } = context;
	const named = new Intl.DisplayNames(locale, { type: 'language' }).of(locale) ?? locale;
	const track =
		captions === null
			? ''
			: element('track', { kind: 'captions', src: captions, srclang: locale, label: named, default: true });
	const own = {
		src: served(address, context.base),
		controls: true as const,
		playsinline: true as const,
		// One that loops is played by the script, where the visitor's motion setting allows.
		loop: loops || null,
		muted: loops || null,
		preload: still === null ? 'metadata' : 'none',
		poster: still,
		'aria-label': alt || null,
		crossorigin: captions === null ? null : 'anonymous'
	};
	return element('video', own, track);
}
