import { load } from 'cheerio';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { emptyPage, hashOf, type HookEntry, type PageDocument } from '@anbau/core/placement';
import { weave } from './weave.js';
import { selectorFault } from './selector.js';

const entry = (piece: string, html: string, priority = 10): HookEntry => ({
	piece,
	placement: 'p',
	kind: 'message',
	priority,
	devices: ['phone', 'tablet', 'desktop'],
	width: 'column',
	html
});
const page = (change: Partial<PageDocument>): PageDocument => ({
	...emptyPage(1, { kind: 'product', key: 'spade' }),
	...change
});
const THEME = `<!doctype html><html><head><title>Spade</title></head><body><h1>Spade</h1>
<div data-anbau-hook="above-buy"></div><form class="cart"><button>Buy</button></form>
<div class="copy"><p>One.</p><h3>Two</h3><p>Three.</p><p>Four.</p></div><p class="sku">SKU 1</p></body></html>`;
const woven = (change: Partial<PageDocument>, html = THEME) => load(weave(html, page(change), '/anbau.css'));

describe('weave', () => {
	it('puts pieces on markers and beside what selectors find, in order, each with its words’ hash', () => {
		const $ = woven({
			hooks: {
				'above-buy': [entry('a', '<p>A</p>'), entry('b', '<p>B</p>', 20)],
				'below-buy': [entry('c', '<p>C</p>')]
			},
			bindings: { 'below-buy': { binding: { selector: 'form.cart', position: 'after' }, fallback: null } }
		});
		const slots = $('[data-anbau-hook="above-buy"] > .anbau-slot').toArray();
		expect(slots.map((slot) => $(slot).attr('data-anbau-piece'))).toEqual(['a', 'b']);
		expect($(slots[0]).attr('data-anbau-woven')).toBe(hashOf('<p>A</p>'));
		expect($('form.cart + [data-anbau-made="below-buy"] [data-anbau-piece="c"]').text()).toBe('C');
		expect($('link[href="/anbau.css"]')).toHaveLength(1);
	});

	it('leaves a page as it is where it has no such hook, and puts in nothing twice', () => {
		const missing = { hooks: { 'above-list': [entry('a', '<p>A</p>')] } };
		expect(weave(THEME, page(missing), '/anbau.css')).toBe(weave(THEME, page({}), '/anbau.css'));
		expect(woven(missing)('.anbau')).toHaveLength(0);
	});

	it('falls back to another hook where neither marker nor selector is found', () => {
		const $ = woven({
			hooks: { 'below-price': [entry('a', '<p>A</p>')] },
			bindings: {
				'below-price': { binding: { selector: '.price', position: 'after' }, fallback: 'above-buy' }
			}
		});
		expect($('[data-anbau-hook="above-buy"] [data-anbau-piece="a"]')).toHaveLength(1);
	});

	it('stands in the text at the theme’s own paragraphs, and a shorter text gets nothing', () => {
		const at = (n: number, every: boolean) => ({
			...entry('t', '<p>T</p>'),
			unit: 'paragraph' as const,
			side: 'below' as const,
			n,
			every
		});
		const bindings = { text: { binding: { selector: '.copy', position: 'last' as const }, fallback: null } };
		const texts = (change: Partial<PageDocument>) => {
			const $ = woven({ bindings, ...change });
			return $('.copy')
				.children()
				.toArray()
				.map((child) => $(child).text());
		};
		expect(texts({ text: [at(2, false)] })).toEqual(['One.', 'Two', 'Three.', 'T', 'Four.']);
		expect(texts({ text: [at(1, true)] })).toEqual(['One.', 'T', 'Two', 'Three.', 'T', 'Four.', 'T']);
		expect(texts({ text: [at(4, false)] })).toEqual(['One.', 'Two', 'Three.', 'Four.']);
	});

	it('puts media among the theme’s pictures, which count as 10, 20, 30', () => {
		const html =
			'<!doctype html><body><div data-anbau-hook="gallery"><div data-anbau-hook="above-gallery"></div><img alt="1"><a><img alt="2"></a><p>Words</p></div></body>';
		const order = (...priorities: number[]) => {
			const gallery = priorities.map((priority) => entry(`m${priority}`, '<figure></figure>', priority));
			const $ = woven({ gallery }, html);
			return $('[data-anbau-hook="gallery"]')
				.children()
				.toArray()
				.map((child) => $(child).attr('data-anbau-piece') ?? child.name);
		};
		expect(order(5)).toEqual(['div', 'm5', 'img', 'a', 'p']);
		expect(order(10, 15)).toEqual(['div', 'img', 'm10', 'm15', 'a', 'p']);
		expect(order(20, 400)).toEqual(['div', 'img', 'a', 'm20', 'm400', 'p']);
	});

	it('moves a part of the theme before pieces of its number, and does nothing where it is absent', () => {
		const houseParts = [
			{ from: '.sku', hook: 'above-buy', priority: 10 },
			{ from: '.gone', hook: 'above-buy', priority: 1 }
		];
		const $ = woven({ houseParts, hooks: { 'above-buy': [entry('a', '<p>A</p>')] } });
		expect(
			$('[data-anbau-hook="above-buy"]')
				.children()
				.toArray()
				.map((child) => $(child).text())
		).toEqual(['SKU 1', 'A']);
	});

	it('never loses anything of the theme’s', () => {
		const words = fc.array(
			fc.constantFrom('<p>a</p>', '<ul><li>b</ul>', 'text', '<table><tr><td>c</table>', '<svg><path/></svg>')
		);
		fc.assert(
			fc.property(words, (parts) => {
				const html = `<!doctype html><body><main data-anbau-hook="page-top"></main>${parts.join('')}</body>`;
				const $ = woven({ hooks: { 'page-top': [entry('a', '<p>A</p>')] } }, html);
				$('.anbau, link').remove();
				expect($('body').html()).toBe(load(html)('body').html());
			})
		);
	});
});

describe('a selector', () => {
	it('is one that every browser takes', () => {
		for (const good of [
			'form.cart',
			'#a > b + c ~ d',
			'a[href^="/x"]:not(.y)',
			':is(h2, h3):nth-of-type(2n+1)',
			'p:has(> a)'
		])
			expect(selectorFault(good), good).toBeNull();
		for (const bad of ['a[', '..', 'p:first', ':header', 'p:contains(x)', 'div >', 'a:is(b:first)'])
			expect(selectorFault(bad), bad).not.toBeNull();
	});
});
