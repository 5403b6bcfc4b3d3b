import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';
import { hostOf, type EmbedFrame } from '@anbau/core/media';
import { element, escapeHtml } from './html.js';
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

/** Whether an address is of a host whose frames the store lets in. */
export function isAllowedHost(address: string, { frameHosts }: LiveContext): boolean {
	return frameHosts.includes(hostOf(address));
}

/** A frame of a foreign host, and the still picture that stands there before. */
export interface ForeignFrame extends EmbedFrame {
	still: string | null;
}

/**
 * A page of a foreign host in a frame as wide as its column. Until the visitor clicks, nothing is asked of that host:
 * the frame lies in a template, below a still picture and a button of our own. One of the shop's own host gets no
 * origin in it.
 */
export function frameHtml({ address, title, still, ratio, allow }: ForeignFrame, { store }: LiveContext): string {
	const host = hostOf(address);
	const isOwn = host === hostOf(store.url);
	const frame = element('iframe', {
		src: address,
		title: title || host,
		sandbox: `allow-scripts allow-forms allow-popups allow-presentation${isOwn ? '' : ' allow-same-origin'}`,
		allow: allow.join('; ') || null,
		loading: 'lazy',
		referrerpolicy: 'strict-origin-when-cross-origin'
	});
	const picture = still === null ? '' : element('img', { src: still, alt: '', loading: 'lazy' });
	const said = `Show ${title ? `“${title}”` : 'it'}`;
	const button = element(
		'button',
		{ type: 'button', class: 'anbau-button' },
		`${PLAY}${element('span', {}, escapeHtml(said))}`
	);
	const always = element('label', {}, `${element('input', { type: 'checkbox' })} always from ${escapeHtml(host)}`);
	// Without the script the link leads there.
	const link = element('a', { href: address, rel: 'noreferrer' }, escapeHtml(host));
	const note = element('p', {}, `Loads from ${link}, which then knows of your visit. ${always}`);
	const cover = element('div', { class: 'anbau-cover' }, button + note);
	return element(
		'div',
		{
			class: 'anbau-frame',
			'data-anbau-frame': host,
			'data-anbau-style': JSON.stringify({ '--anbau-ratio': ratio.replace(':', ' / ') })
		},
		element('template', {}, frame) + picture + cover
	);
}

/** A triangle that means to play. */
const PLAY =
	'<svg class="anbau-icon" viewBox="0 0 24 24" fill="currentColor" aria-hidden="true"><path d="M7 4v16l13-8z"></path></svg>';
