import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { join } from 'node:path';
import { catalogueCsv } from '@anbau/demo/products';
import { accountForm, cookieFor, visitOf } from './account.js';
import { ARTICLES } from './articles.js';
import { hollow } from './hollow/theme.js';
import type { Html } from './html.js';
import { meadow } from './meadow/theme.js';
import { productPicture } from './picture.js';
import { openShop } from './shop.js';
import { stripPage } from './strips.js';
import { contentPolicy, documentOf, pageAt, type Visit } from './theme.js';

/** The shop stand-in: a storefront on its own origin, with its own catalogue and two themes. */
const port = Number(process.env.PORT ?? 4320);
const shop = openShop({
	url: process.env.SHOP_URL ?? `http://127.0.0.1:${port}`,
	anbauUrl: process.env.ANBAU_URL ?? '',
	mediaUrl: process.env.MEDIA_URL ?? '',
	storeKey: process.env.STORE_KEY ?? '',
	visitorSecret: process.env.VISITOR_SECRET ?? ''
});
const asset = (name: string) => readFileSync(join(import.meta.dirname, name), 'utf8');
const mark =
	'<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 32 32"><circle cx="16" cy="16" r="15" fill="#1f5a41"/><path d="M16 25V12M16 16c-6 0-7-4-7-7 5 0 7 3 7 7zM16 13c6 0 7-4 7-7-5 0-7 3-7 7z" stroke="#fff" stroke-width="2" fill="none"/></svg>';

function send(response: ServerResponse, status: number, type: string, body: string): void {
	response.writeHead(status, {
		'content-type': `${type}; charset=utf-8`,
		'content-security-policy': contentPolicy(shop),
		'x-frame-options': 'DENY',
		'x-content-type-options': 'nosniff',
		'cache-control': 'no-cache'
	});
	response.end(body);
}

/** The product on whose pages the matrix of tab strips stands. */
const STRIP_PRODUCT = 'carrot-amber-row';

function frameAt(path: string, visit: Visit): Html | null {
	const own = path.slice(1);
	if (own === 'account')
		return hollow.frame(shop, { title: 'Account', kind: 'plain', id: 'account', main: accountForm(visit) }, visit);
	const product = shop.products.get(STRIP_PRODUCT);
	if (own.startsWith('strips/') && product) return stripPage(shop, own.slice('strips/'.length), product, visit);
	const theme = own === meadow.path || own.startsWith(`${meadow.path}/`) ? meadow : hollow;
	const page = pageAt(shop, theme.pages, own.slice(theme.path.length).replace(/^\//, ''));
	return page && theme.frame(shop, page, visit);
}

function sitemap(): string {
	const paths = [
		'/',
		'/pages/delivery',
		'/pages/contact',
		...ARTICLES.map(({ slug }) => `/articles/${slug}`),
		...shop.categories.map(({ key }) => `/category/${key}`),
		...[...shop.products.keys()].map((key) => `/products/${key}`)
	];
	const all = [...paths, ...paths.map((path) => `/${meadow.path}${path}`)];
	const urls = all.map((path) => `<url><loc>${shop.url}${path}</loc></url>`).join('');
	return `<?xml version="1.0" encoding="UTF-8"?><urlset xmlns="http://www.sitemaps.org/schemas/sitemap/0.9">${urls}</urlset>`;
}

/** The catalogue as a feed: who has it already is told that nothing changed. */
function feed(known: string | undefined, response: ServerResponse): void {
	const csv = catalogueCsv([...shop.products.values()], shop.url);
	const etag = `"${createHash('sha256').update(csv).digest('base64url').slice(0, 27)}"`;
	response.setHeader('etag', etag);
	if (known === etag) response.writeHead(304).end();
	else send(response, 200, 'text/csv', csv);
}

const ASSETS: Record<string, [type: string, body: string]> = {
	'/assets/hollow.css': ['text/css', asset('hollow.css')],
	'/assets/meadow.css': ['text/css', asset('meadow.css')],
	'/assets/meadow.js': ['text/javascript', asset('meadow.js')],
	'/assets/scale.svg': ['image/svg+xml', asset('scale.svg')],
	'/assets/mark.svg': ['image/svg+xml', mark]
};

async function answer(path: string, request: IncomingMessage, response: ServerResponse): Promise<void> {
	const picture = /^\/images\/(.+)\.svg$/.exec(path)?.[1];
	const product = picture === undefined ? undefined : shop.products.get(picture);
	if (product) return send(response, 200, 'image/svg+xml', productPicture(product));
	const known = Object.hasOwn(ASSETS, path) ? ASSETS[path] : undefined;
	if (known) return send(response, 200, ...known);
	if (path === '/sitemap.xml') return send(response, 200, 'application/xml', sitemap());
	if (path === '/export/catalog.csv') return feed(request.headers['if-none-match'], response);
	if (path === '/account' && request.method === 'POST') return signIn(request, response);
	const page = frameAt(path, await visitOf(shop, request.headers.cookie));
	if (page) return send(response, 200, 'text/html', documentOf(page));
	send(response, 404, 'text/plain', 'There is nothing here.');
}

async function signIn(request: IncomingMessage, response: ServerResponse): Promise<void> {
	let form = '';
	for await (const chunk of request) if (form.length < 1000) form += String(chunk);
	const cookie = cookieFor(new URLSearchParams(form).get('group'));
	response.writeHead(303, { location: '/account', 'set-cookie': cookie }).end();
}

const server = createServer((request, response) => {
	const work = async () =>
		answer(decodeURIComponent(new URL(request.url ?? '/', shop.url).pathname), request, response);
	work().catch(() => send(response, 400, 'text/plain', 'This address cannot be read.'));
});
server.listen(port, '127.0.0.1', () => process.send?.('ready'));
for (const signal of ['SIGTERM', 'SIGINT', 'disconnect']) process.once(signal, () => process.exit(0));
