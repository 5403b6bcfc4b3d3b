import { createServer } from 'node:http';
import { describe, type Send } from './oembed.js';
import { framePage, WORKS } from './works.js';

/**
 * The media host stand-in: films, maps and drawings on their own origin, described by oEmbed, freely at /oembed and
 * with the key `mossgate` at /members/oembed. It counts what it is asked for, so that tests can see what a page asks.
 */
const port = Number(process.env.PORT ?? 4330);
const url = process.env.MEDIA_URL ?? `http://127.0.0.1:${port}`;
const KEY = 'mossgate';
const asked: string[] = [];

const send: Send = (response, status, type, body) => {
	response.writeHead(status, {
		'content-type': type,
		'access-control-allow-origin': '*',
		'x-content-type-options': 'nosniff'
	});
	response.end(body);
};

const server = createServer((request, response) => {
	const { pathname, searchParams } = new URL(request.url ?? '/', url);
	if (pathname === '/asked') return send(response, 200, 'application/json', JSON.stringify(asked));
	asked.push(pathname);
	const address = searchParams.get('url') ?? '';
	if (pathname === '/oembed') return describe(address, url, response, send);
	if (pathname === '/members/oembed') {
		if (searchParams.get('access_key') === KEY) return describe(address, url, response, send);
		return send(response, 403, 'text/plain', 'The access_key is not known');
	}
	const [, kind = '', id = ''] = /^\/(files|frame|map)\/([a-z-]+)(?:\.svg)?$/.exec(pathname) ?? [];
	const work = Object.hasOwn(WORKS, id) ? WORKS[id] : undefined;
	if (work && kind === 'files') return send(response, 200, 'image/svg+xml', work.svg);
	if (work) return send(response, 200, 'text/html; charset=utf-8', framePage(work));
	if (pathname !== '/') return send(response, 404, 'text/plain', 'Not found');
	send(response, 200, 'text/plain', 'Mossgate Pictures: films, maps and drawings, with oEmbed at /oembed?url=');
});
server.listen(port, '127.0.0.1', () => process.send?.('ready'));
for (const signal of ['SIGTERM', 'SIGINT', 'disconnect']) process.once(signal, () => process.exit(0));
