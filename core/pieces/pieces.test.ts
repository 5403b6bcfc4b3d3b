import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Product } from '@anbau/core/catalog';
import {
	bodyFromHtml,
	bodyFromMarkdown,
	bodySchema,
	hrefFault,
	liveContext,
	newPiece,
	parseText,
	pieceSchema,
	quoteText,
	renderBody,
	renderPiece,
	type Body,
	type LiveContext
} from '@anbau/core/pieces';
import * as arbitrary from '../testing/arbitraries.js';
import { bareProduct } from '../testing/bareProduct.js';
import { EVASIONS } from '../testing/evasions.js';
import { dangersIn, elementsOf, textOf } from '../testing/parseHtml.js';

const live = (product: Partial<Product>): LiveContext =>
	liveContext({ product: bareProduct(product), categoryTitle: (key) => (key === 'tools' ? 'Tools' : undefined) });
const render = (markdown: string, product: Partial<Product> = {}) =>
	renderBody(bodyFromMarkdown(markdown), live(product)).html;

describe('live values', () => {
	it('are filled in with the product’s own', () => {
		const full = {
			price: 114900,
			listPrice: 129900,
			stock: 1200,
			sku: 'HM-1',
			brand: 'Quillmoss',
			categories: ['tools'],
			url: 'https://shop.example/spade'
		};
		expect(
			textOf(render('{product.title}: {product.price}, not {product.listPrice}, saves {product.saving}', full))
		).toBe('Spade: €1,149.00, not €1,299.00, saves €150.00');
		expect(render('{product.brand} in {product.category}, [here]({product.url})', full)).toBe(
			'<p>Quillmoss in Tools, <a href="https://shop.example/spade">here</a></p>'
		);
		expect(textOf(render('{product.stock}, {product.savingPercent}, {product.price, number, whole}', full))).toBe(
			'1,200, 11%, €1,149'
		);
	});

	it('of a tag are its rest, whatever case and space', () => {
		expect(render('Part {tag.part}', { tags: ['Part : HM-2231'] })).toBe('<p>Part HM-2231</p>');
		expect(render('Part {tag.part}')).toBe('');
	});

	it('of several tags repeat their block in tag order', () => {
		const tags = ['part: A', 'x', 'part: B'];
		expect(render('Part {tag.part}', { tags })).toBe('<p>Part A</p><p>Part B</p>');
		expect(render('- Part {tag.part}\n- Last', { tags })).toBe('<ul><li>Part A</li><li>Part B</li><li>Last</li></ul>');
	});

	it('are written as ICU arguments with ICU’s quoting', () => {
		expect(parseText("Don't say '{'x'}' to {tag.lead time}")).toEqual([
			{ text: "Don't say {x} to " },
			{ value: 'tag.lead time' }
		]);
		expect(() => parseText('{product.colour}')).toThrow('product.colour');
		expect(parseText('{product.stock, plural, one {# left} other {# are left}}')).toEqual([
			{ value: 'product.stock', forms: { one: '# left', other: '# are left' } }
		]);
		expect(() => parseText('{product.stock, plural, other {x {product.sku}}}')).toThrow('inside a plural form');
		expect(() => parseText('{delivery.date, date, sometime}')).toThrow('unknown format');
		expect(() => parseText('{product.stock, select, a {x} other {y}}')).toThrow('form that is not known');
		expect(() => parseText('Use { caution')).toThrow('braces');
		fc.assert(
			fc.property(fc.oneof(fc.string(), fc.stringMatching(/^[{}'a<#|, .-]*$/)), (text) => {
				expect(
					parseText(quoteText(text))
						.map((part) => ('text' in part ? part.text : '?'))
						.join('')
				).toBe(text);
			})
		);
	});
});

describe('the quiet rule', () => {
	it.each([
		['a paragraph', 'Stays.\n\nBrand {product.brand}', '<p>Stays.</p>'],
		['a list item', '- One\n- Brand {product.brand}', '<ul><li>One</li></ul>'],
		['a list with nothing left', 'Stays.\n\n- {product.brand}\n- {product.sku}', '<p>Stays.</p>'],
		['a heading followed by nothing', 'Stays.\n\n## Brand\n\n{product.brand}', '<p>Stays.</p>'],
		['a heading before one of its own rank', '## A\n\n{product.brand}\n\n## B\n\nx', '<h2>B</h2><p>x</p>'],
		['a heading whose smaller one goes too', '## A\n\n### B\n\n{product.brand}\n\n## C\n\nx', '<h2>C</h2><p>x</p>'],
		['what a link needs', 'See [more]({product.url}).', ''],
		['a picture', '![x]({product.url})', '']
	])('takes %s away', (_, markdown, html) => expect(render(markdown)).toBe(html));

	it('keeps a heading whose smaller heading has something', () => {
		expect(render('## A\n\n### B\n\nx')).toBe('<h2>A</h2><h3>B</h3><p>x</p>');
	});

	it('gives way to a fallback, and reports what goes', () => {
		const body: Body = {
			type: 'doc',
			content: [
				{ type: 'paragraph', content: [{ type: 'liveValue', attrs: { name: 'product.brand', fallback: 'no name' } }] },
				{ type: 'paragraph', content: [{ type: 'liveValue', attrs: { name: 'product.sku' } }] }
			]
		};
		expect(renderBody(body, live({}))).toEqual({
			html: '<p>no name</p>',
			until: null,
			gone: [{ at: '/content/1', values: ['product.sku'] }]
		});
	});

	it('leaves out a panel with no body, and a piece with nothing left', () => {
		const piece = pieceSchema.parse({
			kind: 'tab',
			name: 'T',
			panels: [
				{ slug: 'a', heading: 'A', body: { markdown: '{product.brand}' } },
				{ slug: 'b', heading: 'B', body: { markdown: 'x' } }
			]
		});
		expect(renderPiece('t', piece, live({})).panels.map((panel) => panel.slug)).toEqual(['t-b']);
		expect(renderPiece('m', newPiece('message', 'M', bodyFromMarkdown('{product.brand}')), live({})).html).toBe('');
	});
});

describe('HTML', () => {
	it.each(EVASIONS)('stays text or loses what could run: %s', (evasion) => {
		expect(dangersIn(render(quoteText(evasion)))).toEqual([]);
		expect(dangersIn(renderBody(bodySafely(evasion), live({})).html)).toEqual([]);
		const message = pieceSchema.parse({
			kind: 'message',
			name: evasion,
			heading: evasion,
			body: { markdown: 'x' },
			settings: { button: { label: evasion.slice(0, 100), href: '/' } }
		});
		const { html } = renderPiece('m', message, live({ title: evasion }));
		expect(dangersIn(html)).toEqual([]);
		expect(elementsOf(html).map((one) => one.name)).toEqual(['div', 'div', 'p', 'div', 'p', 'a']);
	});

	it('gets no element and no attribute from any live value', () => {
		const body = bodyFromMarkdown(
			'**{product.title}** [x](/s?q={product.brand}) {tag.part}\n\n- {product.sku}\n\n## {attribute.note}\n\n| {attribute.note} |\n| - |\n| a |\n\n![x](/p/{attribute.note}.png)'
		);
		const shape = (text: string) =>
			elementsOf(
				renderBody(
					body,
					live({ title: text, brand: text, sku: text, tags: [`part: ${text}`], attributes: { note: text } })
				).html
			).map(({ name, attributes }) => [name, ...Object.keys(attributes)]);
		const plain = shape('x');
		fc.assert(
			fc.property(
				fc.oneof(fc.string({ minLength: 1 }), fc.constantFrom(...EVASIONS)).filter((text) => text.trim() !== ''),
				(text) => {
					expect(shape(text)).toEqual(plain);
				}
			)
		);
	});

	it.each([
		'javascript:alert(1)',
		' java\tscript:alert(1)',
		'JaVaScRiPt:x',
		'data:text/html,x',
		'\u0001javascript:x',
		''
	])('refuses a link to %j', (address) => expect(hrefFault(address)).not.toBeNull());
	it.each(['/pages/delivery', 'https://shop.example/a:b', 'mailto:a@shop.example', 'tel:+49', '#tab-care', '?q=a:b'])(
		'lets a link lead to %j',
		(address) => expect(hrefFault(address)).toBeNull()
	);

	it('of a link with a live value never becomes one that runs', () => {
		expect(render('[x]({product.title})', { title: 'javascript:alert(1)' })).toBe('<p>x</p>');
	});
});

/** A body read from HTML, or from its text where its braces mean nothing to us. */
function bodySafely(html: string): Body {
	const body = bodyFromHtml(quoteText(html));
	const reading = bodySchema.safeParse(body);
	return reading.success ? reading.data : { type: 'doc', content: [] };
}

describe('a piece document', () => {
	const document = { kind: 'message', name: 'M', body: { markdown: 'x' } };
	it.each([
		[{ ...document, kind: 'film' }, 'kind'],
		[{ ...document, colour: 'red' }, ''],
		[{ ...document, name: '' }, 'name'],
		[{ ...document, body: { markdown: 'a\n\n{nothing}' } }, 'body/markdown'],
		[{ ...document, body: { html: '<p>{nonsense}</p>' } }, 'body/html'],
		[{ ...document, body: { type: 'doc', content: [{ type: 'script' }] } }, 'body/content/0/type'],
		[
			{
				...document,
				body: {
					type: 'doc',
					content: [
						{
							type: 'paragraph',
							content: [{ type: 'text', text: 'x', marks: [{ type: 'link', attrs: { href: 'javascript:x' } }] }]
						}
					]
				}
			},
			'body/content/0/content/0/marks/0/attrs/href'
		],
		[{ ...document, target: { all: [{ field: 'tag', operator: 'is', value: '' }] } }, 'target/all/0/value'],
		[{ ...document, placements: [{ hook: 'no where' }] }, 'placements/0/hook'],
		[{ ...document, placements: [{ hook: 'tabs', page: 'category' }] }, 'placements/0/hook'],
		[{ ...document, placements: [{ hook: 'above-buy', priority: 1000 }] }, 'placements/0/priority'],
		[{ ...document, windows: [{ from: '2027-03-31T18:00', until: '2027-03-30T18:00' }] }, 'windows/0/until'],
		[{ ...document, windows: [{ from: '2027-02-31T18:00' }] }, 'windows/0/from'],
		[{ kind: 'tab', name: 'T', panels: [] }, 'panels']
	])('%# is refused at %s', (input, at) => {
		const reading = pieceSchema.safeParse(input);
		expect(reading.success ? [] : reading.error.issues.map((issue) => issue.path.join('/'))).toEqual([at]);
	});

	it('nested without end is refused, not followed', () => {
		let list: unknown = { type: 'paragraph' };
		for (let i = 0; i < 3000; i++) list = { type: 'bulletList', content: [{ type: 'listItem', content: [list] }] };
		expect(
			pieceSchema.safeParse({ ...document, body: { type: 'doc', content: [list] } }).error?.issues[0]?.message
		).toContain('deep');
	});

	it('is what it was after it went through JSON, and renders the same twice', () => {
		const piece = pieceSchema.parse({
			...document,
			body: { markdown: '## A\n\n- [x](/y) **{product.title}**\n\n1. z' }
		});
		expect(pieceSchema.parse(JSON.parse(JSON.stringify(piece)))).toEqual(piece);
		fc.assert(
			fc.property(arbitrary.product('p'), (product) => {
				expect(renderPiece('m', piece, live(product))).toEqual(renderPiece('m', piece, live(product)));
			})
		);
	});
});
