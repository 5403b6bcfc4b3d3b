import { html, type Html } from './html.js';
import type { Shop } from './shop.js';

/** A page of the theme: what it is to Anbau's script, and what stands on it. */
export interface ThemePage {
	title: string;
	kind: 'product' | 'category' | 'home' | 'plain';
	id: string;
	head?: Html;
	main: Html;
}

/** A place in the theme where Anbau may hang something. */
export function hook(id: string): Html {
	return html`<div data-anbau-hook="${id}"></div>`;
}

/** The first theme: made with Anbau in mind, markers and all. */
export function renderPage(shop: Shop, page: ThemePage): string {
	const top = shop.categories.filter((category) => category.parent === null);
	return html`<!doctype html>
		<html lang="en">
			<head>
				<meta charset="utf-8" />
				<meta name="viewport" content="width=device-width, initial-scale=1" />
				<title>${page.title} · Hollowmere Garden Supply</title>
				<link rel="stylesheet" href="/assets/shop.css" />
				<link rel="icon" href="/assets/mark.svg" />
				${page.head ?? null}
				<script
					async
					src="${shop.anbauUrl}/live/v1/anbau.js"
					data-store="${shop.storeKey}"
					data-page="${page.kind}"
					data-id="${page.id}"
				></script>
			</head>
			<body>
				${hook('page-top')}
				<header class="bar">
					<a class="brand" href="/">Hollowmere <span>Garden Supply</span></a>
					<nav aria-label="Departments">
						${top.map((category) => html`<a href="/category/${category.key}">${category.title}</a>`)}
					</nav>
				</header>
				<main>${page.main}</main>
				${hook('page-bottom')}
				<footer class="foot">
					<a href="/pages/delivery">Delivery</a><a href="/pages/contact">Contact</a
					><a href="/export/catalog.csv">Catalogue as CSV</a>
					<p>Hollowmere is made up. Nothing here can be bought.</p>
				</footer>
			</body>
		</html>`.text.replace(/\n\t+/g, '\n');
}

/** The shop's content security policy: its own files and Anbau's, nothing inline, and no framing. */
export function contentPolicy(shop: Shop): string {
	const anbau = shop.anbauUrl;
	return [
		`default-src 'none'`,
		`script-src 'self' ${anbau}`,
		`style-src 'self' ${anbau}`,
		`img-src 'self' ${anbau} data:`,
		`connect-src 'self' ${anbau}`,
		`frame-src ${anbau}`,
		`form-action 'self'`,
		`base-uri 'none'`,
		`frame-ancestors 'none'`
	].join('; ');
}
