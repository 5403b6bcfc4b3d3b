import { ARTICLES, articleText } from '../articles.js';
import { html } from '../html.js';
import { PLAIN } from '../plainPages.js';
import { departmentsOf, productsIn, type Shop, type ShopCategory } from '../shop.js';
import type { ThemePage } from '../theme.js';
import { hook } from './hook.js';
import { productCard } from './productPage.js';

export function homePage(shop: Shop): ThemePage {
	const newest = [...shop.products.values()].sort((a, b) => (a.created < b.created ? 1 : -1)).slice(0, 8);
	return {
		title: 'Home',
		kind: 'home',
		id: '',
		main: html`
			<h1>For gardens that are worked in</h1>
			<ul class="departments">
				${departmentsOf(shop).map(({ key, title }) => html`<li><a href="/category/${key}">${title}</a></li>`)}
			</ul>
			<h2>New here</h2>
			<div class="grid">${newest.map(productCard)}</div>
		`
	};
}

export function categoryPage(shop: Shop, category: ShopCategory): ThemePage {
	const below = shop.categories.filter((one) => one.parent === category.key);
	return {
		title: category.title,
		kind: 'category',
		id: category.key,
		main: html`
			<h1>${category.title}</h1>
			<ul class="departments">
				${below.map(({ key, title }) => html`<li><a href="/category/${key}">${title}</a></li>`)}
			</ul>
			${hook('above-list')}
			<div class="grid">${productsIn(shop, category.key).map(productCard)}</div>
			${hook('below-list')}
		`
	};
}

export function articlePage(slug: string): ThemePage | null {
	const article = ARTICLES.find((one) => one.slug === slug);
	if (!article) return null;
	return {
		title: article.title,
		kind: 'article',
		id: slug,
		main: html`<h1>${article.title}</h1>
			${hook('text-start')}
			<div class="text" data-anbau-hook="text">${articleText(article)}</div>
			${hook('text-end')}`
	};
}

export function plainPage(slug: string): ThemePage | null {
	const page = Object.hasOwn(PLAIN, slug) ? PLAIN[slug] : undefined;
	if (!page) return null;
	return {
		title: page.title,
		kind: 'plain',
		id: slug,
		main: html`<h1>${page.title}</h1>
			${page.text.map((paragraph) => html`<p>${paragraph}</p>`)}`
	};
}
