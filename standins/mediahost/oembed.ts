import type { ServerResponse } from 'node:http';
import { WORKS, type Work } from './works.js';

/** Answers as the media host gives them. */
export type Send = (response: ServerResponse, status: number, type: string, body: string) => void;

/** What a host can get wrong, by the last part of an address. */
const FAULTS: Record<string, (response: ServerResponse, send: Send, url: string) => void> = {
	gone: (response, send) => send(response, 404, 'text/plain', 'Not found'),
	private: (response, send) => send(response, 401, 'text/plain', 'Private'),
	html: (response, send) => send(response, 200, 'text/html', '<!doctype html><title>A page</title>'),
	large: (response, send) =>
		send(response, 200, 'application/json', JSON.stringify({ version: '1.0', title: 'x'.repeat(5 * 1024 * 1024) })),
	never: () => undefined,
	elsewhere: (response) => void response.writeHead(302, { location: 'http://10.11.12.13/inside' }).end(),
	round: (response, _, url) => void response.writeHead(302, { location: `${url}/oembed?url=${url}/watch/round` }).end()
};

/** Describes an address by oEmbed (oembed.com, section 2.3): drawings as photo, films as video, maps as rich. */
export function describe(address: string, url: string, response: ServerResponse, send: Send): void {
	const id = /\/(?:watch|members)\/([a-z-]+)$/.exec(address)?.[1] ?? '';
	if (Object.hasOwn(FAULTS, id)) return FAULTS[id]?.(response, send, url);
	const work = Object.hasOwn(WORKS, id) ? WORKS[id] : undefined;
	if (!work || !address.startsWith(`${url}/`)) return send(response, 404, 'text/plain', 'Not found');
	send(response, 200, 'application/json', JSON.stringify({ ...shared(work, url, id), ...byType(work, url, id) }));
}

function shared({ title, author }: Work, url: string, id: string) {
	return {
		version: '1.0',
		title,
		author_name: author,
		provider_name: 'Mossgate Pictures',
		provider_url: url,
		thumbnail_url: `${url}/files/${id}.svg`,
		thumbnail_width: 640,
		thumbnail_height: 360,
		width: 640,
		height: 360
	};
}

function byType({ isFilm, title }: Work, url: string, id: string) {
	if (id === 'sowing-depth') return { type: 'photo', url: `${url}/files/${id}.svg` };
	const src = `${url}/${isFilm ? 'frame' : 'map'}/${id}`;
	// Such codes come with more than a frame.
	const html = `<iframe src="${src}" width="640" height="360" title="${title}" allow="fullscreen; picture-in-picture; geolocation" allowfullscreen></iframe><p><a href="${url}">${title}</a> by Mossgate Pictures</p><script src="${url}/count.js"></script>`;
	return { type: isFilm ? 'video' : 'rich', html };
}
