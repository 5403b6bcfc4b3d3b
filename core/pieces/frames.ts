import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { element } from './html.js';
import type { LiveContext } from './liveContext.js';
import type { Snippet } from './parts.js';

/** The name under which a snippet's code is served: the beginning of its SHA-256. */
export function snippetId(code: string): string {
	return bytesToHex(sha256(utf8ToBytes(code))).slice(0, 32);
}

/** A snippet of others in a frame that has neither the shop's origin nor any other. */
export function snippetFrame({ title, code, height }: Snippet['attrs'], { base }: LiveContext): string {
	return element('iframe', {
		class: 'anbau-snippet',
		src: `${base}/snippets/${snippetId(code)}`,
		title,
		height,
		sandbox: 'allow-scripts',
		loading: 'lazy',
		referrerpolicy: 'no-referrer'
	});
}

/** A page of another host in a frame as wide as its column. One of the shop's own host gets no origin in it. */
export function embedFrame(address: string, { store }: LiveContext): string {
	const isOwn = hostOf(address) === hostOf(store.url);
	const frame = element('iframe', {
		src: address,
		title: hostOf(address) ?? 'Embedded page',
		sandbox: `allow-scripts allow-popups allow-presentation${isOwn ? '' : ' allow-same-origin'}`,
		loading: 'lazy',
		referrerpolicy: 'strict-origin-when-cross-origin',
		allowfullscreen: true
	});
	return element('div', { class: 'anbau-frame' }, frame);
}

function hostOf(address: string): string | null {
	return /^https?:\/\/([^/?#\s]+)/i.exec(address)?.[1]?.toLowerCase() ?? null;
}
