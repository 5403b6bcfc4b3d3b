import type { DemoProduct } from '@anbau/demo/products';
import { html, raw, type Html } from '../html.js';
import { jsonLd } from '../jsonLd.js';
import { priceText, relatedTo, rowsOf, trailOf, type Shop } from '../shop.js';
import type { ThemePage } from '../theme.js';
import { hook } from './hook.js';

/** Tool pages come from an older layout that lacks these places. */
const MISSING_ON_TOOLS = ['below-price', 'below-summary'];

export function productPage(shop: Shop, product: DemoProduct): ThemePage {
	const trail = trailOf(product);
	const missing = trail[0]?.key === 'tools' ? MISSING_ON_TOOLS : [];
	const place = (id: string) => (missing.includes(id) ? html`` : hook(id));
	const main = html`
		<nav class="trail" aria-label="You are here">
			${trail.map(({ key, title }) => html`<a href="/category/${key}">${title}</a>`)}
		</nav>
		${buyPart(product, place)} ${place('above-tabs')}
		<div class="tabs" data-anbau-hook="tabs">${houseTabs(product)}</div>
		${place('below-tabs')}
		<section class="reviews">${place('above-reviews')}</section>
		<section class="related">
			${place('above-related')}
			<h2>Related products</h2>
			<div class="grid">${relatedTo(shop, product).map(productCard)}</div>
			${place('below-related')}
		</section>
	`;
	return {
		title: product.title,
		kind: 'product',
		id: product.key,
		head: jsonLd(shop, product, `/products/${product.key}`),
		main
	};
}

/** Gallery, price, and everything round the button. */
function buyPart(product: DemoProduct, place: (id: string) => Html): Html {
	return html`<article class="product">
		<div class="gallery" data-anbau-hook="gallery">
			${place('above-gallery')}<img
				src="/images/${product.key}.svg"
				alt="${product.title}"
				width="560"
				height="560"
			/>${place('below-gallery')}
		</div>
		<div class="buy">
			${place('above-title')}
			<h1>${product.title}</h1>
			${place('below-title')}
			<p class="price">
				${product.listPrice ? html`<s>${priceText(product.listPrice)}</s> ` : null}${priceText(product.price)}
			</p>
			${place('below-price')}
			<p class="summary">${product.summary}</p>
			${place('below-summary')} ${place('above-options')}
			<form class="cart" action="/cart" method="get">
				<label>Quantity <input type="number" name="quantity" value="1" min="1" max="99" /></label>
				${place('above-buy')}
				<button type="submit" name="product" value="${product.key}">
					${product.stock > 0 ? 'Put in basket' : 'Order'}
				</button>
				${place('below-buy')}
			</form>
			<p class="details">
				SKU ${product.sku} ·
				${trailOf(product)
					.map((one) => one.title)
					.join(' / ')}
			</p>
			${place('below-details')}
		</div>
	</article>`;
}

function houseTabs(product: DemoProduct): Html {
	return html`
		<section data-anbau-tab="description">
			<h2 data-anbau-label>Description</h2>
			${hook('text-start')}
			<div class="text" data-anbau-hook="text">${raw(product.description)}</div>
			${hook('text-end')}
		</section>
		<section data-anbau-tab="details">
			<h2 data-anbau-label>Details</h2>
			<dl>
				${rowsOf(product).map(
					([label, value]) =>
						html`<div>
							<dt>${label}</dt>
							<dd>${value}</dd>
						</div>`
				)}
			</dl>
		</section>
		<section data-anbau-tab="delivery">
			<h2 data-anbau-label>Delivery</h2>
			<p>Parcels leave on every working day. What is too large for a parcel comes by freight.</p>
		</section>
	`;
}

export function productCard(product: DemoProduct): Html {
	return html`<a class="card" href="/products/${product.key}"
		><img src="/images/${product.key}.svg" alt="" width="280" height="280" loading="lazy" /><span>${product.title}</span
		><b>${priceText(product.price)}</b></a
	>`;
}
