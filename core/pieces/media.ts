import { z } from 'zod';
import { FRAME_PERMISSIONS } from '@anbau/core/media';
import { hrefFault, srcFault as webFault } from './address.js';
import { templateOf } from './inline.js';

/** What media show: a picture, a film of the store's own, or a page of a foreign host in a frame. */
export const MEDIA_TYPES = ['picture', 'film', 'embed'] as const;
export type MediaType = (typeof MEDIA_TYPES)[number];

/** An uploaded file by what it is. */
const UPLOADED = /^media:([0-9a-f]{64})\.([a-z0-9]{2,5})$/;

/** Why an address is no source of media; null when it is: of the web, or of an upload. */
export function mediaFault(address: string): string | null {
	return UPLOADED.test(address) ? null : webFault(address);
}

/** The SHA-256 and the ending of an upload that an address names; null for any other address. */
export function uploadOf(address: string): { sha256: string; ending: string } | null {
	const [, sha256, ending] = UPLOADED.exec(address) ?? [];
	return sha256 !== undefined && ending !== undefined ? { sha256, ending } : null;
}

/** An upload's public address below a store's live API; any other address stays as it is. */
export function served(address: string, base: string): string {
	const upload = uploadOf(address);
	return upload ? `${base}/media/${upload.sha256}.${upload.ending}` : address;
}

/** What an address shows by its ending, where nobody says it: a film, else a picture. */
export function typeOfAddress(address: string): MediaType {
	return /\.(mp4|webm|mov|m4v)(?:[?#]|$)/i.test(address) ? 'film' : 'picture';
}

const src = templateOf(2000, (text) => (text === '' ? null : mediaFault(text)));

/** What media show and how: addresses and words may hold live values, so that each product shows its own. */
export const mediaSettings = z.strictObject({
	type: z.enum(MEDIA_TYPES).default('picture'),
	address: src.default(''),
	/** What it shows, for those who cannot see it. */
	alt: templateOf(500).default(''),
	caption: templateOf(500).default(''),
	/** Where a picture leads. */
	href: templateOf(2000, (text) => (text === '' ? null : hrefFault(text))).default(''),
	/** The still picture of a film or a frame until it plays, and a film's captions as WebVTT. */
	poster: src.default(''),
	captions: src.default(''),
	/** The shape that is kept free, width to height. */
	ratio: z
		.string()
		.regex(/^[1-9]\d{0,3}:[1-9]\d{0,3}$/, 'must be a shape like 16:9')
		.default('16:9'),
	/** Whether a film plays by itself, without sound and over again, where the visitor's motion setting allows. */
	loops: z.boolean().default(false),
	/** What a frame may ask of the browser. */
	allow: z.array(z.enum(FRAME_PERMISSIONS)).default(['fullscreen'])
});
export type MediaSettings = z.infer<typeof mediaSettings>;

export const NEW_MEDIA: MediaSettings = mediaSettings.parse({});
