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
		expect(html).toContain('<track kind="captions" src="/en.vtt" srclang="en" label="English" default>');
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

	it('that loops has no sound and is left to the script, which asks for the visitor’s motion setting', () => {
		const { html } = shown({ type: 'film', address: '/a.mp4', loops: true });
		expect(html).toMatch(/<video[^>]* loop muted /);
		expect(html).not.toContain('autoplay');
	});

	it('of an uploaded photograph comes in lighter forms too', () => {
		const sha = 'ab'.repeat(32);
		const context = liveContext({ product, base: 'https://a.example/live/v1/k' });
		const html = renderPiece('m', media({ address: `media:${sha}.jpg` }), context).html;
		expect(html).toContain(`<img src="https://a.example/live/v1/k/media/${sha}.jpg"`);
		expect(html).toContain(`/media/${sha}-480.avif 480w`);
		expect(html.indexOf('image/avif')).toBeLessThan(html.indexOf('image/webp'));
		expect(renderPiece('m', media({ address: `media:${sha}.svg` }), context).html).not.toContain('srcset');
	});

	it('of another site asks nothing of it before a click, and only where the store lets it in', () => {
		const settings = { type: 'embed', address: 'https://maps.example/1?a=1&b=2', alt: 'The way', ratio: '4:3' };
		const context = liveContext({ product, frameHosts: ['maps.example'] });
		const { html } = renderPiece('m', media({ ...settings, poster: 'https://maps.example/still.png' }), context);
		const outside = html.replace(/<template>.*<\/template>/s, '');
		expect(outside).not.toMatch(/(src|srcset|poster|url)\S*maps\.example/);
		expect(html).toMatch(
			/<template><iframe src="https:\/\/maps.example\/1\?a=1&amp;b=2" title="The way" sandbox="[^"]+" allow="fullscreen" loading="lazy" referrerpolicy="strict-origin-when-cross-origin"><\/iframe><\/template>/
		);
		expect(html).toContain('data-anbau-frame="maps.example"');
		expect(renderPiece('m', media({ ...settings, poster: '/own.png' }), context).html).toContain('<img src="/own.png"');
		expect(shown(settings).html).toBe('');
		// The shop's own host gets no origin inside the frame.
		const own = liveContext({
			product,
			frameHosts: ['maps.example'],
			store: { name: '', url: 'https://maps.example' }
		});
		expect(renderPiece('m', media(settings), own).html).not.toContain('allow-same-origin');
	});

	it('with a heading hangs among the tabs', () => {
		const piece = media({ address: '/a.png' }, { heading: 'Size' });
		expect(renderPiece('m', piece, liveContext({ product })).panels).toMatchObject([{ slug: 'm', heading: 'Size' }]);
	});
});
