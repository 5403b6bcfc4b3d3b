import { converter, parse } from 'culori';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	contrast,
	contrastFaults,
	liveContext,
	pieceSchema,
	renderPiece,
	sanitizeHtml,
	sanitizeSvg,
	styleProperties,
	upgradedPiece,
	type Piece
} from '@anbau/core/pieces';
import { bareProduct } from '../testing/bareProduct.js';
import { EVASIONS } from '../testing/evasions.js';
import { dangersIn, elementsOf, textOf } from '../testing/parseHtml.js';

const context = liveContext({ product: bareProduct({ title: 'Spade', stock: 3 }) });
const render = (piece: object) => renderPiece('p', pieceSchema.parse({ name: 'P', ...piece }), context);
const said = (markdown: string) => ({ markdown });
const panel = (slug: string, more: object = {}) => ({
	slug,
	heading: slug.toUpperCase(),
	body: said(`about ${slug}`),
	...more
});

describe('an accordion', () => {
	it('is details that open without a script, with parts between its panels', () => {
		const { html, panels } = render({
			kind: 'accordion',
			heading: 'Questions',
			settings: { open: 'first' },
			panels: [panel('a'), panel('b', { above: said('Between.'), body: said('{product.brand}') }), panel('c')]
		});
		expect(
			elementsOf(html)
				.filter((one) => one.name === 'details')
				.map((one) => one.attributes)
		).toEqual([{ 'data-anbau-panel': 'p-a', open: '' }, { 'data-anbau-panel': 'p-c' }]);
		expect(textOf(html)).toBe('Aabout aBetween.Cabout c');
		expect(panels.map(({ slug, heading }) => [slug, heading])).toEqual([['p', 'Questions']]);
	});

	it('with nothing in its panels goes, whatever stands between them', () => {
		expect(
			render({ kind: 'accordion', panels: [panel('a', { above: said('x'), body: said('{product.brand}') })] }).html
		).toBe('');
	});
});

describe('a message', () => {
	const message = (settings: object, more: object = {}) =>
		render({ kind: 'message', body: said('Text'), settings, ...more });
	it('stands as a box, a bar or a line, closable or not', () => {
		expect(elementsOf(message({ form: 'bar', closable: true }).html).map((one) => one.name)).toEqual([
			'div',
			'div',
			'div',
			'p',
			'button'
		]);
		expect(message({ form: 'line' }).html).toContain('anbau-line');
	});

	it('as a dialog is opened by a button, which it names', () => {
		const { html } = message({ form: 'dialog', opener: 'Freight for {product.title}' });
		expect(elementsOf(html).find((one) => one.name === 'dialog')?.attributes['aria-label']).toBe('Freight for Spade');
		const reading = pieceSchema.safeParse({
			kind: 'message',
			name: 'M',
			body: said('x'),
			settings: { form: 'dialog' }
		});
		expect(reading.error?.issues[0]?.path).toEqual(['settings', 'opener']);
	});

	it('keeps its button only where its address has its values', () => {
		const button = {
			label: 'Only {product.stock, plural, one {# left} other {# left}}',
			href: '/ask?sku={product.sku}'
		};
		expect(message({ button }).html).not.toContain('anbau-button');
		expect(message({ button }).gone).toEqual([{ at: '/settings/button', values: ['product.sku'] }]);
		expect(textOf(message({ button: { ...button, href: '/ask' } }).html)).toBe('TextOnly 3 left');
	});
});

describe('a heading for shoppers', () => {
	it('is filled in, and takes its panel away where its value is missing', () => {
		const tabs = (heading: string) =>
			render({ kind: 'tab', panels: [panel('a', { heading })] }).panels.map((one) => one.heading);
		expect(tabs('{product.title}’s care')).toEqual(['Spade’s care']);
		expect(tabs('{product.brand}')).toEqual([]);
	});

	it.each([
		[{ kind: 'tab', panels: Array.from({ length: 500 }, (_, i) => panel(`p${i}`)) }, 'panels', '500 panels'],
		[{ kind: 'tab', panels: [panel('a'), panel('a')] }, 'panels/1/slug', 'another panel'],
		[{ kind: 'tab', panels: [panel('a', { heading: '{nothing}' })] }, 'panels/0/heading', 'nothing'],
		[{ kind: 'accordion', panels: [panel('a')], style: { text: 'red' } }, 'style/text', '#2c5b43'],
		[{ kind: 'message', body: said('x'), icon: 'unicorn' }, 'icon', 'no icon']
	])('%# is refused where it is wrong', (piece, at, message) => {
		const reading = pieceSchema.safeParse({ name: 'P', ...piece });
		expect(reading.error?.issues.map((issue) => [issue.path.join('/'), issue.message])).toEqual([
			[at, expect.stringContaining(message)]
		]);
	});
});

describe('a style', () => {
	it('is a few custom properties, and its picture’s address cannot leave its quotes', () => {
		expect(styleProperties({ accent: '#2c5b43', padding: 12, iconSize: null })).toEqual({
			'--anbau-accent': '#2c5b43',
			'--anbau-padding': '12px'
		});
		expect(styleProperties({ picture: '/a"b\\c.png' })['--anbau-picture']).toBe('url("/a%22b%5Cc.png")');
		expect(render({ kind: 'tab', panels: [panel('a')], style: { radius: 4 } }).panels[0]?.html).toContain(
			'--anbau-radius'
		);
	});

	it('is measured by WCAG’s contrast', () => {
		// WCAG 2.2 defines 21:1 for black on white and the luminance in between; worked out here from its own formula.
		const luminance = (hex: string) => {
			const rgb = converter('rgb')(parse(hex));
			if (!rgb) throw new Error('is a colour');
			const linear = (part: number) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4);
			return 0.2126 * linear(rgb.r) + 0.7152 * linear(rgb.g) + 0.0722 * linear(rgb.b);
		};
		expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 5);
		const ratio = (luminance('#fffdf8') + 0.05) / (luminance('#b64f2a') + 0.05);
		expect(contrast('#b64f2a', '#fffdf8')).toBeCloseTo(ratio, 4);
		expect(contrastFaults({ text: '#777777', background: '#888888' })[0]).toContain('contrast of 1.3 : 1');
		expect(contrastFaults({ background: '#ffffff' })).toHaveLength(1);
		expect(contrastFaults({ text: '#000000', background: '#ffffff' })).toEqual([]);
	});
});

describe('cleaning', () => {
	it.each(EVASIONS)('takes out of HTML what could run: %s', (evasion) => {
		const { html } = sanitizeHtml(evasion);
		const known = /^(p|a|img|div|b|br|table|tbody|tr|td|span)( |$)/;
		expect(dangersIn(html).filter((danger) => danger.includes(' ') || !known.test(danger))).toEqual([]);
		expect(sanitizeHtml(html)).toEqual({ html, removed: [] });
	});

	it('says what was taken out, and changes nothing that is clean', () => {
		expect(
			sanitizeHtml('<p style="x" onclick="y">a<script>b</script><a href="javascript:z">c</a></p>').removed
		).toEqual(['style of <p>', 'onclick of <p>', '<script>', 'the address “javascript:z” of <a>']);
		fc.assert(
			fc.property(fc.string(), (text) => {
				const once = sanitizeHtml(text).html;
				expect(sanitizeHtml(once).html).toBe(once);
			})
		);
	});

	it('leaves of a drawing only its shapes', () => {
		const drawing =
			'<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 24 24" onload="x" fill="none"><script>y</script><style>z</style><a href="javascript:q"><path d="M0 0h9" onclick="w"/></a><image href="u"/><rect fill="url(https://a.example/#b)" width="9"/></svg>';
		expect(sanitizeSvg(drawing)).toBe(
			'<svg viewBox="0 0 24 24" fill="none"><path d="M0 0h9"></path><rect width="9"></rect></svg>'
		);
		for (const evil of [
			'<p>x</p>',
			'<svg viewBox="0 0 1 1"></svg>',
			'<svg><path d="M0 0"/></svg>',
			'<!DOCTYPE svg [<!ENTITY a "b">]><svg viewBox="0 0 1 1"><path d="&a;"/></svg>'
		])
			expect(() => sanitizeSvg(evil)).toThrow();
	});
});

describe('a piece kept by an earlier version', () => {
	it('gets what has come since', () => {
		const { style: _style, ...old } = pieceSchema.parse({ kind: 'message', name: 'M', body: said('x') });
		const kept = { ...old, settings: { tone: 'tip', button: null } } as unknown as Piece;
		expect(pieceSchema.parse(upgradedPiece(kept))).toEqual(upgradedPiece(kept));
	});
});
