import type { DemoProduct } from '@anbau/demo/products';
import { html, raw, type Html } from '../html.js';
import { jsonLd } from '../jsonLd.js';
import { priceText, relatedTo, rowsOf, trailOf, type Shop } from '../shop.js';
import type { ThemePage } from '../theme.js';

export function productPage(shop: Shop, product: DemoProduct): ThemePage {
	const main = html`
		<section class="stage">
			<figure><img src="/images/${product.key}.svg" alt="${product.title}" width="560" height="560" /></figure>
			<div class="pane">
				<h1>${product.title}</h1>
				<div class="cost">
					<strong>${priceText(product.price)}</strong>
					${product.listPrice ? html`<del>${priceText(product.listPrice)}</del>` : null}
				</div>
				<p class="lead">${product.summary}</p>
				<form class="take" action="/meadow/cart" method="get">
					<input type="number" name="quantity" value="1" min="1" max="99" aria-label="Quantity" />
					<button type="submit" name="product" value="${product.key}">
						${product.stock > 0 ? 'Take it' : 'Order it'}
					</button>
				</form>
				<small class="codes">${product.sku}, ${trailOf(product).at(-1)?.title ?? ''}</small>
			</div>
		</section>
		${leaves(product)}
		<section class="alike">
			<h2>You may also like</h2>
			<div class="shelf">${relatedTo(shop, product).map((one) => productCard(one, true))}</div>
		</section>
	`;
	return {
		title: product.title,
		kind: 'product',
		id: product.key,
		head: jsonLd(shop, product, `/meadow/products/${product.key}`),
		main
	};
}

/** The theme's tabs: ARIA tabs, which its own script turns. */
function leaves(product: DemoProduct): Html {
	const panels: [id: string, title: string, content: Html][] = [
		['about', 'Description', html`<div class="copy">${raw(product.description)}</div>`],
		[
			'facts',
			'Details',
			html`<table>
				${rowsOf(product).map(
					([label, value]) =>
						html`<tr>
							<th>${label}</th>
							<td>${value}</td>
						</tr>`
				)}
			</table>`
		],
		['sending', 'Delivery', html`<p>Parcels leave on every working day. What is too large goes by freight.</p>`]
	];
	return html`<section class="leaves">
		<div role="tablist" aria-label="About this product">
			${panels.map(
				([id, title], i) =>
					html`<button
						type="button"
						role="tab"
						id="leaf-${id}"
						aria-controls="${id}"
						aria-selected="${i === 0 ? 'true' : 'false'}"
						tabindex="${i === 0 ? 0 : -1}"
					>
						${title}
					</button>`
			)}
		</div>
		${panels.map(
			([id, , content], i) =>
				html`<div role="tabpanel" id="${id}" aria-labelledby="leaf-${id}" ${raw(i === 0 ? '' : 'hidden')}>
					${content}
				</div>`
		)}
	</section>`;
}

/** A product in a list; `switches` says that its page replaces this one without a reload. */
export function productCard(product: DemoProduct, switches = false): Html {
	return html`<a class="item" href="/meadow/products/${product.key}" ${raw(switches ? 'data-switch' : '')}
		><img src="/images/${product.key}.svg" alt="" width="240" height="240" loading="lazy" /><span>${product.title}</span
		><b>${priceText(product.price)}</b></a
	>`;
}
