import { html } from './html.js';
import { productCard } from './productPage.js';
import { productsIn, type Shop, type ShopCategory } from './shop.js';
import { hook, type ThemePage } from './theme.js';

export function homePage(shop: Shop): ThemePage {
	const top = shop.categories.filter((category) => category.parent === null);
	const newest = [...shop.products.values()].sort((a, b) => (a.created < b.created ? 1 : -1)).slice(0, 8);
	return {
		title: 'Home',
		kind: 'home',
		id: '',
		main: html`
			<h1>For gardens that are worked in</h1>
			<ul class="departments">
				${top.map(({ key, title }) => html`<li><a href="/category/${key}">${title}</a></li>`)}
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

const PLAIN: Record<string, { title: string; text: string[] }> = {
	delivery: {
		title: 'Delivery',
		text: [
			'Parcels leave on every working day and arrive within three.',
			'What is too large for a parcel comes by freight. The driver calls you the day before and brings it to the kerb.'
		]
	},
	contact: { title: 'Contact', text: ['Our gardeners answer the telephone on every weekday until four.'] },
	cart: { title: 'Basket', text: ['This shop is made up; nothing was put in a basket.'] }
};

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
