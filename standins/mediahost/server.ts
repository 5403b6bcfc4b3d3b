import { createServer, type ServerResponse } from 'node:http';

/** The media host stand-in: drawings on their own origin, described by oEmbed (oembed.com, section 2.3, type photo). */
const port = Number(process.env.PORT ?? 4330);
const url = process.env.MEDIA_URL ?? `http://127.0.0.1:${port}`;

const DRAWINGS: Record<string, { title: string; svg: string }> = {
	'sowing-depth': {
		title: 'How deep to sow',
		svg: '<svg xmlns="http://www.w3.org/2000/svg" width="640" height="360" viewBox="0 0 640 360"><rect width="640" height="360" fill="#f4f1e8"/><rect y="140" width="640" height="220" fill="#b79b78"/><g fill="#5b4630"><circle cx="160" cy="165" r="8"/><circle cx="320" cy="200" r="14"/><circle cx="480" cy="260" r="24"/></g></svg>'
	}
};

function send(response: ServerResponse, status: number, type: string, body: string): void {
	response.writeHead(status, {
		'content-type': type,
		'access-control-allow-origin': '*',
		'x-content-type-options': 'nosniff'
	});
	response.end(body);
}

function oembed(address: string, response: ServerResponse): void {
	const id = address.startsWith(`${url}/drawings/`) ? address.slice(`${url}/drawings/`.length) : '';
	const drawing = Object.hasOwn(DRAWINGS, id) ? DRAWINGS[id] : undefined;
	if (!drawing) return send(response, 404, 'text/plain', 'Not found');
	const document = {
		version: '1.0',
		type: 'photo',
		title: drawing.title,
		provider_name: 'Mossgate Pictures',
		provider_url: url,
		url: `${url}/files/${id}.svg`,
		width: 640,
		height: 360
	};
	send(response, 200, 'application/json', JSON.stringify(document));
}

const server = createServer((request, response) => {
	const { pathname, searchParams } = new URL(request.url ?? '/', url);
	if (pathname === '/oembed') return oembed(searchParams.get('url') ?? '', response);
	const id = /^\/files\/([a-z-]+)\.svg$/.exec(pathname)?.[1] ?? '';
	const drawing = Object.hasOwn(DRAWINGS, id) ? DRAWINGS[id] : undefined;
	if (drawing) return send(response, 200, 'image/svg+xml', drawing.svg);
	send(
		response,
		pathname === '/' ? 200 : 404,
		'text/plain',
		pathname === '/' ? 'Mossgate Pictures: drawings with oEmbed at /oembed?url=' : 'Not found'
	);
});
server.listen(port, '127.0.0.1', () => process.send?.('ready'));
for (const signal of ['SIGTERM', 'SIGINT', 'disconnect']) process.once(signal, () => process.exit(0));
