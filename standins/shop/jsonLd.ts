import type { DemoProduct } from '@anbau/demo/products';
import { html, raw, type Html } from './html.js';
import type { Shop } from './shop.js';

/** A product as schema.org data, as search engines read it. */
export function jsonLd(shop: Shop, product: DemoProduct, path: string): Html {
	const data = {
		'@context': 'https://schema.org',
		'@type': 'Product',
		name: product.title,
		sku: product.sku,
		description: product.summary,
		image: `${shop.url}/images/${product.key}.svg`,
		...(product.brand ? { brand: { '@type': 'Brand', name: product.brand } } : {}),
		offers: {
			'@type': 'Offer',
			url: `${shop.url}${path}`,
			price: product.price,
			priceCurrency: 'EUR',
			availability: `https://schema.org/${product.availability}`,
			inventoryLevel: { '@type': 'QuantitativeValue', value: product.stock }
		}
	};
	return html`<script type="application/ld+json">
		${raw(JSON.stringify(data).replace(/</g, '\\u003c'))}
	</script>`;
}
