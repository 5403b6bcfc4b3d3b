import { html, type Html } from './html.js';
import type { DemoProduct } from '@anbau/demo/products';
import type { Shop, ShopCategory } from './shop.js';

/** A page of the shop: what it is to Anbau's script, and what stands on it. */
export interface ThemePage {
	title: string;
	kind: 'product' | 'category' | 'article' | 'home' | 'plain';
	id: string;
	head?: Html;
	main: Html;
}

/** A theme: how its pages are made, and under which path they are. */
export interface Theme {
	path: string;
	pages: Pages;
	frame(shop: Shop, page: ThemePage, visit: Visit): Html;
}

/** Who looks at a page: the group of a customer who is signed in, and the token that says so. */
export interface Visit {
	group: string | null;
	token: string;
}

/** The head of every page, with Anbau's script in it. */
export function headOf(shop: Shop, page: ThemePage, { token }: Visit, style: string, script?: string): Html {
	return html`<head>
		<meta charset="utf-8" />
		<meta name="viewport" content="width=device-width, initial-scale=1" />
		<title>${page.title} · Hollowmere Garden Supply</title>
		<link rel="stylesheet" href="/assets/${style}" />
		<link rel="icon" href="/assets/mark.svg" />
		${page.head ?? null}${script ? html`<script defer src="/assets/${script}"></script>` : null}
		<script
			async
			src="${shop.anbauUrl}/live/v1/anbau.js"
			data-store="${shop.storeKey}"
			data-page="${page.kind}"
			data-id="${page.id}"
			data-visitor="${token}"
		></script>
	</head>`;
}

/** A whole document. */
export function documentOf(frame: Html): string {
	return html`<!doctype html>
		<html lang="en">
			${frame}
		</html>`.text.replace(/\n\t+/g, '\n');
}

/** The shop's content security policy: its own files and Anbau's, frames of the media host, nothing inline, and no framing. */
export function contentPolicy(shop: Shop): string {
	const anbau = shop.anbauUrl;
	return [
		`default-src 'none'`,
		`script-src 'self' ${anbau}`,
		`style-src 'self' ${anbau}`,
		`img-src 'self' ${anbau} data:`,
		`media-src 'self' ${anbau}`,
		`connect-src 'self' ${anbau}`,
		`frame-src ${anbau} ${shop.mediaUrl}`,
		`form-action 'self'`,
		`base-uri 'none'`,
		`frame-ancestors 'none'`
	].join('; ');
}

/** How a theme makes the pages of each kind. */
export interface Pages {
	home(shop: Shop): ThemePage;
	plain(slug: string): ThemePage | null;
	article(slug: string): ThemePage | null;
	product(shop: Shop, product: DemoProduct): ThemePage;
	category(shop: Shop, category: ShopCategory): ThemePage;
}

/** The page at a path, of whatever kind it is; null where there is none. */
export function pageAt(shop: Shop, pages: Pages, path: string): ThemePage | null {
	const [section = '', ...rest] = path.split('/');
	const id = rest.join('/');
	if (section === '') return pages.home(shop);
	if (section === 'cart') return pages.plain('cart');
	if (section === 'pages') return pages.plain(id);
	if (section === 'articles') return pages.article(id);
	const product = section === 'products' ? shop.products.get(id) : undefined;
	if (product) return pages.product(shop, product);
	const category = section === 'category' ? shop.categories.find((one) => one.key === id) : undefined;
	return category ? pages.category(shop, category) : null;
}
