import { describe, expect, it } from 'vitest';
import {
	attributeSchema,
	NO_PRODUCTS,
	type AttributeDefinition,
	type AttributeValue,
	type Product
} from '@anbau/core/catalog';
import {
	bodySchema,
	liveContext,
	QuietReport,
	renderBody,
	renderPiece,
	pieceSchema,
	snippetId,
	type LiveContext
} from '@anbau/core/pieces';
import { bareProduct } from '../testing/bareProduct.js';
import { elementsOf, textOf } from '../testing/parseHtml.js';

const DEFINED: AttributeDefinition[] = [
	{
		...attributeSchema.parse({ label: 'Sowing depth', type: 'number', unit: 'cm', categories: ['seeds'] }),
		code: 'depth'
	},
	{ ...attributeSchema.parse({ label: 'Manuals', type: 'documents' }), code: 'manuals' },
	{ ...attributeSchema.parse({ label: 'Story', type: 'richText' }), code: 'story' },
	{ ...attributeSchema.parse({ label: 'Film', type: 'embed' }), code: 'film' },
	{ ...attributeSchema.parse({ label: 'Goes with', type: 'products' }), code: 'goes' },
	{ ...attributeSchema.parse({ label: 'Soil', type: 'text', of: 'category' }), code: 'soil' }
];
const NOON = Date.parse('2027-03-31T12:00:00Z');
const on = (product: Partial<Product>, given: Partial<LiveContext> = {}): LiveContext =>
	liveContext({
		product: bareProduct({ categories: ['seeds/herbs'], ...product }),
		attribute: (code) => DEFINED.find((one) => one.code === code),
		now: NOON,
		base: 'https://anbau.example/live/v1/s',
		...given
	});
const text = (words: string) => ({ type: 'paragraph', content: [{ type: 'text', text: words }] });
const value = (name: string, more: object = {}) => ({ type: 'liveValue', attrs: { name, ...more } });
const line = (...content: object[]) => ({ type: 'paragraph', content });
const body = (...content: object[]) => bodySchema.parse({ type: 'doc', content });
const html = (content: object[], context = on({})) => renderBody(body(...content), context).html;
const cell = (...content: object[]) => ({ type: 'tableCell', content });
const table = (...rows: object[][]) => ({
	type: 'table',
	content: rows.map((content) => ({ type: 'tableRow', content }))
});
const attributes = (given: Record<string, AttributeValue>) => on({ attributes: given });

describe('parts that hold parts', () => {
	it('a table loses the rows that lack a value, repeats one for each tag, and goes with its last row', () => {
		const parts = table(
			[
				{ type: 'tableHeader', content: [text('What')] },
				{ type: 'tableHeader', content: [text('Which')] }
			],
			[cell(text('Brand')), cell(line(value('product.brand')))],
			[cell(text('Part')), cell(line(value('tag.part')))]
		);
		expect(textOf(html([parts], on({ tags: ['part: A', 'part: B'] })))).toBe('WhatWhichPartAPartB');
		expect(html([parts])).toBe('');
	});

	it('columns close up over an empty one, and go when all are', () => {
		const columns = (...inner: object[]) => ({
			type: 'columns',
			content: inner.map((part) => ({ type: 'column', content: [part] }))
		});
		const two = columns(text('a'), line(value('product.brand')));
		expect(html([two])).toBe('<div class="anbau-columns anbau-columns-1"><div><p>a</p></div></div>');
		expect(html([columns(line(value('product.brand')), line(value('product.sku')))])).toBe('');
	});

	it('a dialog, an accordion and its panels go when there is nothing in them', () => {
		const empty = line(value('product.brand'));
		const accordion = {
			type: 'accordion',
			attrs: { many: false, open: 'first' },
			content: [
				{ type: 'accordionPanel', attrs: { heading: 'Gone' }, content: [empty] },
				{ type: 'accordionPanel', attrs: { heading: '{product.title}' }, content: [text('x')] }
			]
		};
		expect(elementsOf(html([accordion])).filter((one) => one.name === 'details')).toEqual([
			{ name: 'details', attributes: { open: '' } }
		]);
		expect(textOf(html([accordion]))).toBe('Spadex');
		expect(html([{ type: 'dialogButton', attrs: { label: 'More' }, content: [empty] }])).toBe('');
		expect(
			elementsOf(html([{ type: 'dialogButton', attrs: { label: 'More' }, content: [text('x')] }])).map(
				(one) => one.name
			)
		).toContain('dialog');
	});

	it('a divider that divides nothing any more goes with what it divided', () => {
		const rule = { type: 'horizontalRule' };
		expect(html([text('a'), rule, line(value('product.brand')), rule, text('b')])).toBe('<p>a</p><hr><p>b</p>');
		expect(html([line(value('product.brand')), rule])).toBe('');
		expect(html([rule, text('a')])).toBe('<hr><p>a</p>');
	});
});

describe('parts that the product fills', () => {
	it('an attribute table has the rows that have a value, in the shoppers’ words', () => {
		const parts = { type: 'attributeTable', attrs: { codes: ['depth', 'story', 'undefined_one'] } };
		expect(textOf(html([parts], attributes({ depth: 2.5, undefined_one: 'x' })))).toBe(
			'Sowing depth2.5 cmundefined onex'
		);
		expect(html([parts])).toBe('');
		expect(html([parts], on({ categories: ['tools'], attributes: { depth: 2.5 } }))).toBe('');
	});

	it('documents open beside the page, say what they are, and are gone after their last day', () => {
		const parts = { type: 'documentList', attrs: { codes: ['manuals'] } };
		const manual = {
			label: 'Manual',
			address: `file:${'a'.repeat(64)}`,
			type: 'application/pdf',
			size: 1_240_000,
			until: '2027-03-31'
		};
		const shown = renderBody(
			body(parts),
			attributes({ manuals: [manual, { label: 'Old', address: '/old.pdf', until: '2027-03-30' }] })
		);
		expect(elementsOf(shown.html).find((one) => one.name === 'a')?.attributes).toMatchObject({
			target: '_blank',
			href: `https://anbau.example/live/v1/s/files/${'a'.repeat(64)}/manual.pdf`
		});
		expect(textOf(shown.html)).toBe('Manual PDF · 1.2 MB · until Mar 31, 2027');
		expect(shown.until).toBe(Date.parse('2027-04-01T00:00:00Z'));
		expect(html([parts], on({ attributes: { manuals: [manual] } }, { now: NOON + 86_400_000 }))).toBe('');
	});

	it('a product list fills itself, and goes with its heading where it is empty', () => {
		const parts = { type: 'productList', attrs: { source: 'attribute', code: 'goes', heading: 'Goes well with' } };
		const other = bareProduct({
			key: 'pot',
			title: 'Pot & pan',
			url: '/products/pot',
			price: 900,
			images: ['javascript:x']
		});
		const products = { list: ({ keys }: { keys: readonly string[] }) => (keys.includes('pot') ? [other] : []) };
		const full = html([parts], on({ attributes: { goes: ['pot'] } }, { products }));
		expect(textOf(full)).toBe('Goes well withPot & pan€9.00');
		expect(elementsOf(full).map((one) => one.name)).toEqual(['div', 'h3', 'ul', 'li', 'a', 'span', 'b']);
		expect(html([text('a'), parts], on({}, { products: NO_PRODUCTS }))).toBe('<p>a</p>');
	});

	it('rich text and embeds come out as what they are, and nothing of them runs', () => {
		const story = html(
			[line(value('attribute.story'))],
			attributes({ story: '<p>A <b>bold</b> {brace}<script>x</script></p><img src=x onerror=y>' })
		);
		expect(story).toBe('<p>A <strong>bold</strong> {brace}</p><img src="x" alt="" loading="lazy">');
		expect(
			html([line({ type: 'text', text: 'So: ' }, value('attribute.story'))], attributes({ story: '**deep** & wide' }))
		).toBe('<p>So: deep &amp; wide</p>');
		const film = { attributes: { film: 'https://films.example/7' } };
		const frame = html([line(value('attribute.film'))], on(film, { frameHosts: ['films.example'] }));
		expect(elementsOf(frame)[0]?.attributes).toMatchObject({ 'data-anbau-frame': 'films.example' });
		expect(html([line({ type: 'text', text: 'Film' }), line(value('attribute.film'))], on(film))).toBe('<p>Film</p>');
	});

	it('a category’s own attribute is found from the product’s category upwards', () => {
		const categoryValue = (key: string) => (key === 'seeds' ? 'light' : undefined);
		expect(html([line(value('attribute.soil'))], on({}, { categoryValue }))).toBe('<p>light</p>');
		expect(html([line(value('attribute.soil'))], on({ categories: ['tools'] }, { categoryValue }))).toBe('');
	});
});

describe('values that time changes', () => {
	it('price and stock are empty once they are too old, and marked for the page that knows better', () => {
		const stock = [line(value('product.stock', { forms: { one: 'only # left', other: 'only # left of them' } }))];
		const fresh = (hours: number) =>
			on({ stock: 1, freshness: new Date(NOON - hours * 3_600_000).toISOString() }, { ageLimit: 24 * 3_600_000 });
		expect(elementsOf(html(stock, fresh(23)))[1]?.attributes).toEqual({
			'data-anbau-value': 'stock',
			'data-anbau-forms': '{"one":"only # left","other":"only # left of them"}'
		});
		expect(textOf(html(stock, fresh(23)))).toBe('only 1 left');
		expect(renderBody(body(...stock), fresh(23)).until).toBe(NOON + 3_600_000);
		expect(html(stock, fresh(24))).toBe('');
		expect(html(stock, on({ stock: 1, freshness: null }, { ageLimit: 1 }))).toBe('');
	});

	it('the countdown stops at the cut-off, and is nothing for what cannot be ordered', () => {
		const delivery = { cutOff: '14:00', days: [3], holidays: [], leadDays: 1, leadTag: '', leadAttribute: '' };
		const left = [line(value('delivery.countdown'))];
		const shown = renderBody(body(...left), on({}, { delivery }));
		expect(shown).toMatchObject({
			html: '<p><time data-anbau-until="2027-03-31T14:00:00.000Z">2 hr</time></p>',
			until: Date.parse('2027-03-31T14:00:00Z')
		});
		expect(html(left, on({}, { delivery, now: NOON + 7_200_000 }))).toBe('');
		expect(html(left, on({ availability: 'SoldOut' }, { delivery }))).toBe('');
	});
});

describe('foreign content', () => {
	it('raw HTML is cleaned when it comes in; a snippet is only ever an address', () => {
		const [raw] = body({ type: 'rawHtml', attrs: { html: '<p onclick=x>a<script>b</script></p>' } }).content;
		expect(raw).toEqual({ type: 'rawHtml', attrs: { html: '<p>a</p>' } });
		const code = '<script>alert(1)</script>';
		const [frame] = elementsOf(html([{ type: 'snippet', attrs: { title: 'Counter', code, height: 90 } }]));
		expect(frame?.attributes).toMatchObject({
			sandbox: 'allow-scripts',
			src: `https://anbau.example/live/v1/s/snippets/${snippetId(code)}`,
			height: '90'
		});
	});

	it.each([
		[
			{
				type: 'table',
				content: Array.from({ length: 100 }, () => ({
					type: 'tableRow',
					content: Array.from({ length: 100 }, () => cell(text('x')))
				}))
			},
			'content/0/content',
			'10000 cells'
		],
		[{ type: 'columns', content: [{ type: 'column', content: [text('a')] }] }, 'content/0/content', 'two columns'],
		[{ type: 'button', attrs: { label: 'Go', href: 'javascript:x' } }, 'content/0/attrs/href', 'not allowed'],
		[{ type: 'productList', attrs: { source: 'newest', count: 99 } }, 'content/0/attrs/count', '24'],
		[
			{ type: 'iconList', attrs: { colour: 'red' }, content: [{ type: 'iconItem', attrs: { icon: 'star' } }] },
			'content/0/attrs/colour',
			'#2c5b43'
		],
		[
			{ type: 'iconList', attrs: {}, content: [{ type: 'iconItem', attrs: { icon: 'unicorn' } }] },
			'content/0/content/0/attrs/icon',
			'no icon'
		],
		[{ type: 'blockquote', content: [{ type: 'script' }] }, 'content/0/content/0/type', 'not a part']
	])('%# is refused where it is wrong', (part, at, message) => {
		const reading = bodySchema.safeParse({ type: 'doc', content: [part] });
		expect(reading.error?.issues.map((issue) => [issue.path.join('/'), issue.message])).toEqual([
			[at, expect.stringContaining(message)]
		]);
	});
});

describe('the quiet report', () => {
	it('counts where a piece stays away, and which part for want of what', () => {
		const piece = pieceSchema.parse({
			kind: 'tab',
			name: 'T',
			panels: [
				{ slug: 'a', heading: 'A', body: { markdown: 'Depth {attribute.depth}' } },
				{ slug: 'b', heading: 'B', body: { markdown: 'Brand {product.brand}' } }
			]
		});
		const report = new QuietReport();
		for (const [key, product] of Object.entries({
			full: { brand: 'B', attributes: { depth: 1 } },
			half: { brand: 'B' },
			none: {}
		}))
			report.add(key, renderPiece('t', piece, on(product)));
		expect(report.answer()).toEqual({
			checked: 3,
			away: 1,
			awayFrom: ['none'],
			parts: [
				{ at: '/panels/0/body/content/0', values: ['attribute.depth'], products: 2, sample: ['half', 'none'] },
				{ at: '/panels/1/body/content/0', values: ['product.brand'], products: 1, sample: ['none'] }
			]
		});
	});
});
