import { html } from '../html.js';
import { departmentsOf } from '../shop.js';
import { headOf, type Theme } from '../theme.js';
import { hook } from './hook.js';
import { articlePage, categoryPage, homePage, plainPage } from './otherPages.js';
import { productPage } from './productPage.js';

/** The first theme: made with Anbau in mind, markers and all. */
export const hollow: Theme = {
	path: '',
	pages: { home: homePage, plain: plainPage, article: articlePage, product: productPage, category: categoryPage },
	frame: (shop, page, visit) =>
		html`${headOf(shop, page, visit, 'hollow.css')}
			<body>
				${hook('page-top')}
				<header class="bar">
					<a class="brand" href="/">Hollowmere <span>Garden Supply</span></a>
					<nav aria-label="Departments">
						${departmentsOf(shop).map((category) => html`<a href="/category/${category.key}">${category.title}</a>`)}
					</nav>
					<a class="sign-in" href="/account">${visit.group ? `Signed in: ${visit.group}` : 'Sign in'}</a>
				</header>
				<main>${page.main}</main>
				${hook('page-bottom')}
				<footer class="foot">
					<a href="/pages/delivery">Delivery</a><a href="/pages/contact">Contact</a
					><a href="/articles/sowing-under-glass">From the potting shed</a
					><a href="/meadow/">The shop in its other theme</a><a href="/export/catalog.csv">Catalogue as CSV</a>
					<p>Hollowmere is made up. Nothing here can be bought.</p>
				</footer>
			</body>`
};
