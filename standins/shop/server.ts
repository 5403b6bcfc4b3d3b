import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { createServer, type ServerResponse } from 'node:http';
import { join } from 'node:path';
import { catalogueCsv } from '@anbau/demo/products';
import { categoryPage, homePage, plainPage } from './otherPages.js';
import { productPicture } from './picture.js';
import { productPage } from './productPage.js';
import { openShop } from './shop.js';
import { contentPolicy, renderPage, type ThemePage } from './theme.js';

/** The shop stand-in: a storefront on its own origin, with its own catalogue and theme. */
const port = Number(process.env.PORT ?? 4320);
const shop = openShop(
	process.env.SHOP_URL ?? `http://127.0.0.1:${port}`,
	process.env.ANBAU_URL ?? '',
	process.env.STORE_KEY ?? ''
);
const css = readFileSync(join(import.meta.dirname, 'shop.css'), 'utf8');
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

function pageAt(path: string): ThemePage | null {
	const [, section = '', ...rest] = path.split('/');
	const id = rest.join('/');
	if (section === '') return homePage(shop);
	if (section === 'cart') return plainPage('cart');
	if (section === 'pages') return plainPage(id);
	if (section === 'products') {
		const product = shop.products.get(id);
		return product ? productPage(shop, product) : null;
	}
	const category = section === 'category' ? shop.categories.find((one) => one.key === id) : undefined;
	return category ? categoryPage(shop, category) : null;
}

function sitemap(): string {
	const paths = [
		'/',
		'/pages/delivery',
		'/pages/contact',
		...shop.categories.map(({ key }) => `/category/${key}`),
		...[...shop.products.keys()].map((key) => `/products/${key}`)
	];
	const urls = paths.map((path) => `<url><loc>${shop.url}${path}</loc></url>`).join('');
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

function answer(path: string, response: ServerResponse): void {
	const picture = /^\/images\/(.+)\.svg$/.exec(path)?.[1];
	const product = picture === undefined ? undefined : shop.products.get(picture);
	if (product) return send(response, 200, 'image/svg+xml', productPicture(product));
	if (path === '/assets/shop.css') return send(response, 200, 'text/css', css);
	if (path === '/assets/mark.svg') return send(response, 200, 'image/svg+xml', mark);
	if (path === '/sitemap.xml') return send(response, 200, 'application/xml', sitemap());
	const page = pageAt(path);
	if (page) return send(response, 200, 'text/html', renderPage(shop, page));
	send(response, 404, 'text/plain', 'There is nothing here.');
}

const server = createServer((request, response) => {
	try {
		const path = decodeURIComponent(new URL(request.url ?? '/', shop.url).pathname);
		if (path === '/export/catalog.csv') feed(request.headers['if-none-match'], response);
		else answer(path, response);
	} catch {
		send(response, 400, 'text/plain', 'This address cannot be read.');
	}
});
server.listen(port, '127.0.0.1', () => process.send?.('ready'));
for (const signal of ['SIGTERM', 'SIGINT', 'disconnect']) process.once(signal, () => process.exit(0));
