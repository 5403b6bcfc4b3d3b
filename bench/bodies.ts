import Handlebars from 'handlebars';
import { formatMoney } from '@anbau/core/catalog';
import { bodyFromMarkdown, liveContext, renderBody } from '@anbau/core/pieces';
import { bareProduct } from '../core/testing/bareProduct.js';
import { slower, time, type Result } from './measure.js';

const COUNT = 1000;

const product = bareProduct({
	title: 'Lindow & Co. greenhouse',
	brand: 'Quillmoss',
	price: 114900,
	tags: ['lead: 15 days'],
	attributes: { material: 'Oak' }
});
const MARKDOWN = `## About {product.title}

We build **{product.title}** for you, for {product.price}. It leaves our workshop in {tag.lead}; [ask us](/pages/contact?sku={product.brand}).

- Made by {product.brand}
- Of {attribute.material}
- SKU {product.sku}

| What | Value |
| --- | --- |
| Material | {attribute.material} |
| SKU | {product.sku} |`;
const TEMPLATE = `{{#if title}}<h2>About {{title}}</h2>{{/if}}{{#if lead}}<p>We build <strong>{{title}}</strong> for you, for <span data-anbau-value="price">{{price}}</span>. It leaves our workshop in {{lead}}; <a href="/pages/contact?sku={{brand}}">ask us</a>.</p>{{/if}}<ul>{{#if brand}}<li>Made by {{brand}}</li>{{/if}}{{#if material}}<li>Of {{material}}</li>{{/if}}{{#if sku}}<li>SKU {{sku}}</li>{{/if}}</ul><div class="anbau-table"><table><tbody><tr><th>What</th><th>Value</th></tr>{{#if material}}<tr><td>Material</td><td>{{material}}</td></tr>{{/if}}{{#if sku}}<tr><td>SKU</td><td>{{sku}}</td></tr>{{/if}}</tbody></table></div>`;

/** A thousand bodies rendered for one page, against Handlebars with precompiled templates of the same texts. */
export function benchBodies(): Result[] {
	const bodies = Array.from({ length: COUNT }, (_, i) => bodyFromMarkdown(`${MARKDOWN}\n\nNumber ${i}.`));
	const templates = Array.from({ length: COUNT }, (_, i) => Handlebars.compile(`${TEMPLATE}<p>Number ${i}.</p>`));
	const view = () => ({
		title: product.title,
		brand: product.brand,
		price: formatMoney(product.price ?? 0, 'EUR', 'en'),
		lead: '15 days',
		material: 'Oak',
		sku: null
	});
	const ours = () => {
		const context = liveContext({ product });
		return bodies.map((body) => renderBody(body, context).html);
	};
	const handlebars = () => {
		const values = view();
		return templates.map((template) => template(values));
	};
	const [mine, theirs] = [ours(), handlebars()];
	if (mine[7] !== theirs[7]) throw new Error(`the two do not write the same:\n${mine[7]}\n${theirs[7]}`);
	for (let i = 0; i < 30; i++) {
		ours();
		handlebars();
	}
	return [
		slower(
			`${COUNT} bodies rendered, against Handlebars with precompiled templates`,
			time(61, ours),
			time(61, handlebars),
			null
		)
	];
}
