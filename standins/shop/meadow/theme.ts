import { html } from '../html.js';
import { departmentsOf } from '../shop.js';
import { headOf, type Theme } from '../theme.js';
import { articlePage, categoryPage, homePage, plainPage } from './otherPages.js';
import { productPage } from './productPage.js';

/** The second theme: made by people who never heard of Anbau. It has no markers, and tabs of its own kind. */
export const meadow: Theme = {
	path: 'meadow',
	pages: { home: homePage, plain: plainPage, article: articlePage, product: productPage, category: categoryPage },
	frame: (shop, page, visit) =>
		html`${headOf(shop, page, visit, 'meadow.css', 'meadow.js')}
			<body>
				<header class="sky">
					<a class="name" href="/meadow/">hollowmere</a>
					<details class="menu">
						<summary>Departments</summary>
						<ul>
							${departmentsOf(shop).map(({ key, title }) => html`<li><a href="/meadow/category/${key}">${title}</a></li>`)}
						</ul>
					</details>
					<a href="/account">${visit.group ?? 'Sign in'}</a>
				</header>
				<main class="field">${page.main}</main>
				<footer class="ground">
					<a href="/meadow/pages/delivery">Delivery</a> <a href="/meadow/pages/contact">Contact</a>
					<a href="/meadow/articles/planting-a-hedge">Reading</a> <a href="/">The shop in its first theme</a>
				</footer>
			</body>`
};
