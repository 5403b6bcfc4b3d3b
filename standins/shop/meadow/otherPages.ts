import { ARTICLES, articleText } from '../articles.js';
import { html } from '../html.js';
import { PLAIN } from '../plainPages.js';
import { productsIn, type Shop, type ShopCategory } from '../shop.js';
import type { ThemePage } from '../theme.js';
import { productCard } from './productPage.js';

export function homePage(shop: Shop): ThemePage {
	const newest = [...shop.products.values()].sort((a, b) => (a.created < b.created ? 1 : -1)).slice(0, 8);
	const main = html`<h1>Good soil, good tools</h1>
		<div class="shelf">${newest.map((product) => productCard(product))}</div>`;
	return { title: 'Home', kind: 'home', id: '', main };
}

export function categoryPage(shop: Shop, category: ShopCategory): ThemePage {
	const main = html`<h1>${category.title}</h1>
		<div class="shelf">${productsIn(shop, category.key).map((product) => productCard(product))}</div>`;
	return { title: category.title, kind: 'category', id: category.key, main };
}

export function articlePage(slug: string): ThemePage | null {
	const article = ARTICLES.find((one) => one.slug === slug);
	if (!article) return null;
	const main = html`<h1>${article.title}</h1>
		<div class="copy">${articleText(article)}</div>`;
	return { title: article.title, kind: 'article', id: slug, main };
}

export function plainPage(slug: string): ThemePage | null {
	const page = Object.hasOwn(PLAIN, slug) ? PLAIN[slug] : undefined;
	if (!page) return null;
	const main = html`<h1>${page.title}</h1>
		${page.text.map((paragraph) => html`<p>${paragraph}</p>`)}`;
	return { title: page.title, kind: 'plain', id: slug, main };
}
