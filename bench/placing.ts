import { parse, serialize } from 'parse5';
import { factsOfProduct } from '@anbau/core/catalog';
import { GUEST, liveContext, pieceSchema, type Piece } from '@anbau/core/pieces';
import { CompiledRelease, EMPTY_RELEASE, type PageDocument } from '@anbau/core/placement';
import { bareProduct } from '../core/testing/bareProduct.js';
import { weave } from '../web/src/lib/server/weave/weave.js';
import { slower, time, type Result } from './measure.js';

const product = bareProduct({ title: 'Lindow greenhouse', price: 114900, tags: ['oak'] });
const now = Date.now();

/** A release of so many placements, of which so many apply to the product. */
function released(count: number, applying: number): CompiledRelease {
	const piece = (i: number): Piece =>
		pieceSchema.parse({
			kind: 'message',
			name: `Piece ${i}`,
			body: { markdown: `We build **{product.title}** for you, for {product.price}. (${i})` },
			target: { field: 'tag', operator: 'is', value: i < applying ? 'oak' : `tag ${i}` },
			placements: [{ id: 'a', hook: 'above-buy', priority: (i % 999) + 1 }]
		});
	const pieces = Object.fromEntries(Array.from({ length: count }, (_, i) => [`piece-${i}`, piece(i)]));
	return new CompiledRelease(1, { ...EMPTY_RELEASE, pieces }, 'Europe/Berlin', () => false, now);
}

const resolve = (release: CompiledRelease): PageDocument =>
	release.resolve({ facts: factsOfProduct(product), live: liveContext({ product }), visitor: GUEST, now });

/** Resolving grows with what applies: four times as many placements against four times the time. */
function benchResolve(): Result {
	const [few, many] = [released(1000, 1000), released(4000, 4000)];
	for (let i = 0; i < 20; i++) {
		resolve(few);
		resolve(many);
	}
	const reference = 4 * time(31, () => resolve(few));
	return slower(
		'4,000 placements that apply, against four times 1,000',
		time(31, () => resolve(many)),
		reference,
		1.5
	);
}

/** A page of 200 KB with pieces woven in, against parse5 reading and writing it unchanged. */
function benchWeave(): Result {
	const paragraph = (i: number) =>
		`<p class="p${i % 7}">Paragraph <b>${i}</b> of a page with <a href="/products/${i}">links</a> &amp; words.</p>\n`;
	const hooks = ['above-title', 'below-price', 'above-buy', 'below-buy', 'above-tabs'];
	const marks = hooks.map((hook) => `<div data-anbau-hook="${hook}"></div>`).join('');
	let body = '';
	for (let i = 0; body.length < 200_000; i++) body += paragraph(i);
	const html = `<!doctype html><html><head><title>Page</title></head><body>${marks}<main>${body}</main></body></html>`;
	const [entry] = resolve(released(1, 1)).hooks['above-buy'] ?? [];
	if (!entry) throw new Error('nothing to weave in');
	const document: PageDocument = {
		...resolve(released(0, 0)),
		hooks: Object.fromEntries(hooks.map((hook) => [hook, Array.from({ length: 4 }, () => entry)]))
	};
	const ours = () => weave(html, document, '/anbau.css');
	if (ours().split('anbau-slot').length !== 21) throw new Error('the page does not show every piece');
	const parse5 = () => serialize(parse(html));
	for (let i = 0; i < 15; i++) {
		ours();
		parse5();
	}
	return slower('a page of 200 KB woven, against parse5 writing it unchanged', time(41, ours), time(41, parse5), 2.5);
}

export const benchPlacing = (): Result[] => [benchResolve(), benchWeave()];
