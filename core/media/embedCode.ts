import { fromHtml } from 'hast-util-from-html';
import type { Element, Nodes } from 'hast';
import { shapeOf } from './shape.js';

/** What a foreign frame may ask of the browser, if its embed code says so (W3C Permissions Policy, `allow`). */
export const FRAME_PERMISSIONS = ['fullscreen', 'picture-in-picture', 'encrypted-media', 'autoplay'] as const;
export type FramePermission = (typeof FRAME_PERMISSIONS)[number];

/** What of an embed code is kept: where its frame leads, its shape, and what it may. */
export interface EmbedFrame {
	address: string;
	title: string;
	/** Width to height, `16:9`. */
	ratio: string;
	allow: FramePermission[];
}

/** An embed code as it was read: its frame, and in plain words what falls away. */
export interface EmbedReading {
	frame: EmbedFrame | null;
	dropped: string[];
}

/** The shape of a frame whose code does not say it; common practice. */
const USUAL_RATIO = '16:9';

/**
 * Reads an embed code as a page that shows films, maps or forms gives it. Of everything in it only the first frame is
 * kept, with its address, shape and permissions; scripts, lines of credit, trackers and further frames fall away.
 */
export function readEmbedCode(code: string): EmbedReading {
	const found: Element[] = [];
	collect(fromHtml(code, { fragment: true }), found);
	const frames = found.filter(({ tagName }) => tagName === 'iframe');
	const [first] = frames;
	const frame = first ? frameOf(first) : null;
	const dropped = found.flatMap((one) => (one === first ? [] : (wordsOf(one) ?? [])));
	return { frame, dropped: grouped([...dropped, ...(first ? droppedOf(first) : [])]) };
}

function collect(node: Nodes, found: Element[]): void {
	if (node.type === 'element') found.push(node);
	if ('children' in node) for (const child of node.children) collect(child, found);
}

const text = (value: unknown) => (typeof value === 'string' || typeof value === 'number' ? String(value).trim() : '');

function frameOf({ properties }: Element): EmbedFrame | null {
	const src = text(properties.src);
	// Without a scheme a code means that of its page; frames are asked for safely.
	const address = src.startsWith('//') ? `https:${src}` : src;
	if (!/^https?:\/\/[^\s/?#]+/i.test(address)) return null;
	return {
		address,
		title: text(properties.title).slice(0, 200),
		ratio: ratioOf(text(properties.width), text(properties.height)),
		allow: FRAME_PERMISSIONS.filter((one) =>
			one === 'fullscreen' ? mayFullscreen(properties) : asked(properties).includes(one)
		)
	};
}

const asked = (properties: Element['properties']) =>
	text(properties.allow)
		.split(';')
		.map((one) => one.trim().split(/\s+/)[0]?.toLowerCase() ?? '')
		.filter((one) => one !== '');

function mayFullscreen(properties: Element['properties']): boolean {
	return 'allowFullScreen' in properties || asked(properties).includes('fullscreen');
}

function ratioOf(width: string, height: string): string {
	const [w, h] = [width, height].map((side) => (/^\d{1,4}(px)?$/.test(side) ? parseInt(side, 10) : 0)) as [
		number,
		number
	];
	return w > 0 && h > 0 ? shapeOf(w, h) : USUAL_RATIO;
}

/** What an element that falls away is, in plain words; null for one that only holds others. */
function wordsOf({ tagName, properties }: Element): string | null {
	switch (tagName) {
		case 'iframe':
			return `another frame, of ${hostOf(text(properties.src)) || 'no address'}`;
		case 'script':
			return text(properties.src) ? `a script of ${hostOf(text(properties.src))}` : 'a script';
		case 'img':
			return `a picture that loads from ${hostOf(text(properties.src)) || 'elsewhere'}`;
		case 'a':
			return `a link to ${hostOf(text(properties.href)) || 'elsewhere'}`;
		case 'link':
		case 'style':
			return 'a style';
		case 'object':
		case 'embed':
		case 'form':
		case 'video':
		case 'audio':
			return `an element ${tagName}`;
		default:
			return null;
	}
}

/** What of the kept frame itself falls away. */
function droppedOf({ properties }: Element): string[] {
	const known: readonly string[] = FRAME_PERMISSIONS;
	const permissions = asked(properties).filter((one) => !known.includes(one));
	const handlers = Object.keys(properties).filter((name) => /^on/i.test(name));
	return [
		...permissions.map((one) => `the permission ${one}`),
		...handlers.map(() => 'code on the frame'),
		...('srcDoc' in properties || 'srcdoc' in properties ? ['a page inside the code'] : [])
	];
}

/** The host of an address, with its port; empty where it has none. */
export function hostOf(address: string): string {
	return /^(?:https?:)?\/\/([^/?#\s]+)/i.exec(address)?.[1]?.toLowerCase() ?? '';
}

/** The same thing several times is said once. */
function grouped(words: string[]): string[] {
	const counts = new Map<string, number>();
	for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
	return [...counts].map(([word, count]) => (count === 1 ? word : `${word}, ${count} times`));
}
