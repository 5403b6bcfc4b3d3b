import { describe, expect, it } from 'vitest';
import { bareProduct } from '../testing/bareProduct.js';
import { liveContext } from './liveContext.js';
import { pieceSchema } from './piece.js';
import { renderPiece } from './pieceHtml.js';

const product = bareProduct({ title: 'Lindow & Co.', attributes: { film: 'https://media.example/lindow.mp4' } });
const media = (settings: object, change: object = {}) =>
	pieceSchema.parse({ kind: 'media', name: 'Film', settings, target: { all: [] }, ...change });
const shown = (settings: object, about = product) => renderPiece('m', media(settings), liveContext({ product: about }));

describe('a media piece', () => {
	it('is a picture with its words, escaped, and leads where it says', () => {
		const { html } = shown({ address: '/a.png', alt: 'About {product.title}', caption: '<b>', href: '/pages/size' });
		expect(html).toBe(
			'<figure class="anbau-media anbau-picture"><a href="/pages/size"><img src="/a.png" alt="About Lindow &amp; Co." loading="lazy"></a><figcaption>&lt;b&gt;</figcaption></figure>'
		);
	});

	// Common practice, no source: a film's frame is 16:9 by default.
	it('is a film in a frame of 16:9, with controls, and loads nothing more than it must', () => {
		const { html } = shown({ type: 'film', address: '{attribute.film}', poster: '/still.jpg', captions: '/en.vtt' });
		expect(html).toContain('src="https://media.example/lindow.mp4"');
		expect(html).toContain('--anbau-ratio&quot;:&quot;16 / 9');
		expect(html).toMatch(/<video[^>]* controls playsinline preload="none" poster="\/still.jpg"/);
		expect(html).toContain('<track kind="captions" src="/en.vtt" default>');
		expect(shown({ type: 'film', address: '/a.mp4', ratio: '4:3' }).html).toContain('4 / 3');
	});

	it('leaves no trace where its address lacks a value, and loses only what else lacks one', () => {
		const bare = bareProduct({ title: 'Bare' });
		const without = shown({ type: 'film', address: '{attribute.film}' }, bare);
		expect(without).toMatchObject({
			html: '',
			panels: [],
			gone: [{ at: '/settings/address', values: ['attribute.film'] }]
		});
		expect(shown({ address: '' }).html).toBe('');
		expect(shown({ address: '/a.png', caption: 'By {product.brand}', href: '/b/{product.brand}' }, bare).html).toBe(
			'<figure class="anbau-media anbau-picture"><img src="/a.png" alt="" loading="lazy"></figure>'
		);
	});

	it('takes no address that runs, no shape that is none, and alone hangs in the gallery', () => {
		const faults = (input: object) => {
			const reading = pieceSchema.safeParse({ kind: 'media', name: 'M', ...input });
			return reading.success ? [] : reading.error.issues.map(({ path }) => path.join('/'));
		};
		expect(faults({ settings: { address: 'javascript:alert(1)' } })).toEqual(['settings/address']);
		expect(faults({ settings: { address: '/a', ratio: 'wide' } })).toEqual(['settings/ratio']);
		expect(faults({ settings: { address: '/a', href: 'data:text/html,x' } })).toEqual(['settings/href']);
		expect(
			shown({ address: '{attribute.film}' }, bareProduct({ attributes: { film: 'javascript:alert(1)' } })).html
		).toBe('');
		const placements = [{ hook: 'gallery' }];
		expect(faults({ placements })).toEqual([]);
		expect(faults({ kind: 'message', body: { markdown: 'x' }, placements })).toEqual(['placements/0/hook']);
	});

	it('with a heading hangs among the tabs', () => {
		const piece = media({ address: '/a.png' }, { heading: 'Size' });
		expect(renderPiece('m', piece, liveContext({ product })).panels).toMatchObject([{ slug: 'm', heading: 'Size' }]);
	});
});
