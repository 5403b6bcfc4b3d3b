import { describe, expect, it } from 'vitest';
import {
	audienceFault,
	bodyFromHtml,
	bodyFromMarkdown,
	bodySchema,
	GUEST,
	hooksOf,
	iconSvg,
	ICON_NAMES,
	liveValueLabel,
	renderBody,
	restsOfTag,
	srcFault
} from '@anbau/core/pieces';
import { elementsOf } from '../testing/parseHtml.js';

const plain = { product: null, locale: 'en', categoryTitle: () => undefined };
const fromHtml = (html: string) => renderBody(bodyFromHtml(html), plain).html;
const fromMarkdown = (markdown: string) => renderBody(bodyFromMarkdown(markdown), plain).html;

describe('a body from HTML', () => {
	it.each([
		['paragraphs and breaks', '<p>One<br>two</p><div>three</div>', '<p>One<br>two</p><p>three</p>'],
		['text without a paragraph', 'bare <b>bold</b> text', '<p>bare <strong>bold</strong> text</p>'],
		[
			'headings of every rank',
			'<h1>A</h1><p>x</p><h3>B</h3><p>y</p><h6>C</h6><p>z</p>',
			'<h2>A</h2><p>x</p><h3>B</h3><p>y</p><h4>C</h4><p>z</p>'
		],
		[
			'lists within lists',
			'<ul><li>a<ol><li>b</li></ol></li><li></li></ul>',
			'<ul><li><p>a</p><ol><li>b</li></ol></li></ul>'
		],
		['marks', '<p><i>i</i><u>u</u><del>s</del><code>c</code></p>', '<p><em>i</em><u>u</u><s>s</s><code>c</code></p>'],
		[
			'links and pictures',
			'<p>see <a href="/x" onclick="y">this</a></p><img src="/p.svg" alt="A" onerror="z">',
			'<p>see <a href="/x">this</a></p><img src="/p.svg" alt="A" loading="lazy">'
		],
		['white space that HTML does not show', '<p>\n  a \n b  </p>', '<p>a b</p>'],
		[
			'what a word processor adds',
			'<p class="Mso" style="margin:0"><span style="font:x">a</span><o:p></o:p></p>',
			'<p>a</p>'
		],
		['tables as their text', '<table><tr><td>a</td><td>b</td></tr></table>', '<p>a</p><p>b</p>'],
		['scripts and styles as nothing', '<script>x</script><style>y</style><p>a</p><iframe src="z"></iframe>', '<p>a</p>']
	])('keeps %s', (_, html, expected) => {
		expect(fromHtml(html)).toBe(expected);
		expect(bodySchema.safeParse(bodyFromHtml(html)).success).toBe(true);
	});
});

describe('a body from Markdown', () => {
	// The constructs that a body has; expected HTML by the examples' rules in the CommonMark spec 0.31, from memory.
	it.each([
		['*a* **b** `c`', '<p><em>a</em> <strong>b</strong> <code>c</code></p>'],
		['a\\\nb', '<p>a<br>b</p>'],
		['- a\n- b', '<ul><li>a</li><li>b</li></ul>'],
		['3. a\n4. b', '<ol start="3"><li>a</li><li>b</li></ol>'],
		['Title\n=====\n\nx', '<h2>Title</h2><p>x</p>'],
		['### a\n\nx', '<h3>a</h3><p>x</p>'],
		['a ![p](/p.svg) b', '<p>a </p><img src="/p.svg" alt="p" loading="lazy"><p> b</p>'],
		['<b>raw</b> & <i>', '<p>&lt;b&gt;raw&lt;/b&gt; &amp; &lt;i&gt;</p>'],
		['&copy; \\*', '<p>© *</p>']
	])('%j', (markdown, expected) => expect(fromMarkdown(markdown)).toBe(expected));

	it.each([
		['ok\n\n> quoted', 'line 3 has a quotation'],
		['```\ncode\n```', 'line 1 has a block of code'],
		['a\n\n---\n\nb', 'line 3 has a dividing line'],
		['[a][b]\n\n[b]: /c', 'line 1 has a link by reference'],
		['fine {product.nothing}', 'line 1 names “product.nothing”']
	])('%j is refused with its line', (markdown, message) => expect(() => bodyFromMarkdown(markdown)).toThrow(message));
});

describe('small things', () => {
	it('icons are drawings without anything that runs', () => {
		expect(ICON_NAMES).toEqual([...ICON_NAMES].sort());
		for (const name of ICON_NAMES) {
			const [svg, ...shapes] = elementsOf(iconSvg(name));
			expect(svg).toMatchObject({ name: 'svg', attributes: { 'aria-hidden': 'true' } });
			expect(shapes.length).toBeGreaterThan(0);
			for (const shape of shapes) expect(shape.name).toMatch(/^(path|circle|rect|line|polyline|polygon|ellipse)$/);
		}
	});

	it('rests of tags stand after the colon', () => {
		expect(restsOfTag(['Lead: 15 days', 'lead:', 'leading: x', 'lead : 3 : 4'], 'LEAD')).toEqual(['15 days', '3 : 4']);
		expect(liveValueLabel('product.price')).toBe('Product · price');
		expect(liveValueLabel('tag.lead time')).toBe('Tag · lead time');
	});

	it('pictures come from the web only', () => {
		expect([srcFault('/a.svg'), srcFault('https://a.example/b.png')]).toEqual([null, null]);
		for (const source of ['data:image/png;base64,x', 'javascript:x', 'blob:x', ''])
			expect(srcFault(source)).not.toBeNull();
	});

	it('audiences say whom they leave out', () => {
		const member = { signedIn: true, groups: ['trade'], campaign: null };
		expect(audienceFault(null, GUEST)).toBeNull();
		expect(audienceFault({ signedIn: true }, GUEST)).toContain('signed in');
		expect(audienceFault({ signedIn: false }, member)).toContain('not signed in');
		expect(audienceFault({ groups: ['trade', 'club'] }, member)).toBeNull();
		expect(audienceFault({ groups: ['club'] }, member)).toContain('club');
		expect(audienceFault({ campaign: 'spring' }, { ...GUEST, campaign: 'spring' })).toBeNull();
		expect(audienceFault({ campaign: 'spring' }, GUEST)).toContain('spring');
	});

	it('hooks are those of their page kind', () => {
		expect(hooksOf('product').length).toBeGreaterThan(15);
		expect(hooksOf('category').map((hook) => hook.id)).toEqual(['page-top', 'above-list', 'below-list', 'page-bottom']);
	});
});
