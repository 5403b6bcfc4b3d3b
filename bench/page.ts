import Mustache from 'mustache';
import { factsOfProduct, formatMoney } from '@anbau/core/catalog';
import { GUEST, liveContext, pieceSchema, type Piece } from '@anbau/core/pieces';
import { CompiledRelease, EMPTY_RELEASE } from '@anbau/core/placement';
import { bareProduct } from '../core/testing/bareProduct.js';
import { slower, time, type Result } from './measure.js';

const COUNT = 500;

const product = bareProduct({
	title: 'Lindow & Co. greenhouse',
	price: 114900,
	listPrice: 129900,
	stock: 3,
	tags: ['made-to-order', 'lead: 15 days']
});

const TEXT =
	'We build **{product.title}** for you, for {product.price}.\n\nIt leaves our workshop in {tag.lead}; [ask us](/pages/contact).';
const TEMPLATE =
	'<div class="anbau-message anbau-note" role="note"><div class="anbau-text"><div class="anbau-body">{{#title}}<p>We build <strong>{{title}}</strong> for you, for {{price}}.</p>{{/title}}{{#lead}}<p>It leaves our workshop in {{lead}}; <a href="/pages/contact">ask us</a>.</p>{{/lead}}</div></div></div>';

/** One product page with 500 placements, resolved and rendered, against Mustache rendering the same texts. */
export function benchPage(): Result[] {
	const piece = (i: number): Piece =>
		pieceSchema.parse({
			kind: 'message',
			name: `Piece ${i}`,
			body: { markdown: `${TEXT} (${i})` },
			target: {
				any: [
					{ field: 'tag', operator: 'is', value: 'made-to-order' },
					{ field: 'stock', operator: 'lt', value: i }
				]
			},
			placements: [{ id: 'a', hook: 'above-buy', priority: (i % 999) + 1 }]
		});
	const pieces = Object.fromEntries(Array.from({ length: COUNT }, (_, i) => [`piece-${i}`, piece(i)]));
	const now = Date.now();
	const release = new CompiledRelease(1, { ...EMPTY_RELEASE, pieces }, 'Europe/Berlin', () => false, now);
	const live = liveContext({ product });
	const ours = () => release.resolve({ facts: factsOfProduct(product), live, visitor: GUEST, now });
	const templates = Array.from({ length: COUNT }, (_, i) => `${TEMPLATE.slice(0, -18)} (${i})</div></div></div>`);
	const view = { title: product.title, price: formatMoney(product.price ?? 0, 'EUR', 'en'), lead: '15 days' };
	const mustache = () => templates.map((template) => Mustache.render(template, view));
	if (ours().hooks['above-buy']?.length !== COUNT) throw new Error('the page does not show every placement');
	for (let i = 0; i < 40; i++) {
		ours();
		mustache();
	}
	return [
		slower(
			`a page with ${COUNT} placements resolved and rendered, against Mustache`,
			time(101, ours),
			time(101, mustache),
			null
		)
	];
}
