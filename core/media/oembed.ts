import { z } from 'zod';
import { shapeOf } from './shape.js';
import { readEmbedCode, type EmbedReading } from './embedCode.js';

/**
 * A provider of oEmbed (oembed.com, sections 2.1 and 2.2): which addresses are its own, where it describes them, and
 * the key that it may want.
 */
export const oembedProviderSchema = z.strictObject({
	name: z.string().trim().min(1, 'must not be empty').max(100),
	/** Addresses with `*` for any part of a host's labels or of a path (section 2.1). */
	schemes: z
		.array(z.string().regex(/^https?:\/\/[^\s]+$/, 'must be an address like https://films.example/watch/*'))
		.min(1, 'must name an address')
		.max(50),
	endpoint: z.url({ protocol: /^https?$/, error: 'must be an address that begins with https://' }),
	/** The name of the parameter in which it wants its key; empty where it wants none. */
	keyName: z
		.string()
		.regex(/^[\w-]*$/, 'must be letters, digits, - and _')
		.max(60)
		.default(''),
	key: z.string().max(500).default('')
});
export type OembedProvider = z.infer<typeof oembedProviderSchema>;

/** The provider whose addresses an address is one of. */
export function providerOf(address: string, providers: readonly OembedProvider[]): OembedProvider | undefined {
	return providers.find(({ schemes }) => schemes.some((scheme) => matches(address, scheme)));
}

/** Whether an address is of a scheme: `*` stands for anything in a path, and for labels in a host (section 2.1). */
function matches(address: string, scheme: string): boolean {
	const [, protocol = '', host = '', path = ''] = /^(https?):\/\/([^/?#]*)(.*)$/i.exec(scheme) ?? [];
	const literal = (text: string) => text.replace(/[.+?^${}()|[\]\\]/g, '\\$&');
	const hostPattern = literal(host).replace(/\*/g, '[^/?#]+');
	const pathPattern = literal(path || '/*').replace(/\*/g, '.*');
	return new RegExp(`^${protocol}://${hostPattern}${pathPattern}$`, 'i').test(address);
}

/** Where a provider describes an address (section 2.2, the consumer's request). */
export function requestFor(address: string, { endpoint, keyName, key }: OembedProvider, maxWidth: number): string {
	const url = new URL(endpoint.replace('{format}', 'json'));
	url.searchParams.set('url', address);
	url.searchParams.set('format', 'json');
	url.searchParams.set('maxwidth', String(maxWidth));
	if (keyName !== '') url.searchParams.set(keyName, key);
	return url.href;
}

const size = z.coerce.number().positive().optional().catch(undefined);
const words = z.string().optional().catch(undefined);
const shared = {
	// Written as a number by some.
	version: z.coerce.string().refine((version) => version === '1.0' || version === '1', 'must be 1.0'),
	title: words,
	author_name: words,
	provider_name: words,
	thumbnail_url: words,
	width: size,
	height: size
};

/** A response (section 2.3.4): of type photo with an address, video and rich with HTML, link with neither. */
const responseSchema = z.discriminatedUnion(
	'type',
	[
		z.object({ type: z.literal('photo'), ...shared, url: z.url({ protocol: /^https?$/ }) }),
		z.object({ type: z.literal('video'), ...shared, html: z.string().min(1) }),
		z.object({ type: z.literal('rich'), ...shared, html: z.string().min(1) }),
		z.object({ type: z.literal('link'), ...shared })
	],
	{ error: 'must be photo, video, rich or link' }
);

/** What a link shows, as its provider says. */
export interface Described {
	type: 'picture' | 'embed' | 'link';
	/** Of the picture or of the frame; empty where there is only a link. */
	address: string;
	title: string;
	author: string;
	/** A still picture's address; empty for none. */
	still: string;
	ratio: string;
	allow: NonNullable<EmbedReading['frame']>['allow'];
	/** What of the provider's code falls away. */
	dropped: string[];
}

export type DescribedReading = { ok: true; described: Described } | { ok: false; reason: string };

/** Reads what a provider answered; a reason where it cannot be used. */
export function readOembed(answer: unknown): DescribedReading {
	const { success, data, error } = responseSchema.safeParse(answer);
	if (!success) {
		const [first] = error.issues;
		return { ok: false, reason: `its answer is no oEmbed: ${first?.path.join('.') ?? ''} ${first?.message ?? ''}` };
	}
	const about = {
		title: data.title ?? '',
		author: data.author_name ?? '',
		still: /^https?:\/\//i.test(data.thumbnail_url ?? '') ? (data.thumbnail_url ?? '') : ''
	};
	const ratio = ratioOf(data.width, data.height);
	const nothing = { address: '', allow: [], dropped: [], ratio: ratio ?? '16:9' };
	if (data.type === 'link') return { ok: true, described: { type: 'link', ...about, ...nothing } };
	if (data.type === 'photo')
		return { ok: true, described: { type: 'picture', ...about, ...nothing, address: data.url } };
	const { frame, dropped } = readEmbedCode(data.html);
	if (!frame) return { ok: false, reason: 'its answer has no frame that could be shown' };
	const title = about.title || frame.title;
	return { ok: true, described: { type: 'embed', ...about, ...frame, title, ratio: ratio ?? frame.ratio, dropped } };
}

function ratioOf(width: number | undefined, height: number | undefined): string | null {
	return width && height ? shapeOf(width, height) : null;
}
