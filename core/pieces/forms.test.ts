import { describe, expect, it } from 'vitest';
import {
	audienceFault,
	bodyFromHtml,
	bodyFromMarkdown,
	bodySchema,
	bodyToMarkdown,
	GUEST,
	formOf,
	hooksOf,
	iconSvg,
	liveContext,
	ICON_NAMES,
	liveValueLabel,
	renderBody,
	restsOfTag,
	srcFault
} from '@anbau/core/pieces';
import { elementsOf } from '../testing/parseHtml.js';

const plain = liveContext({});
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
		[
			'tables',
			'<table><thead><tr><th>A</th><th colspan=2>B</th></tr></thead><tr><td><p>a</p><td>b<td>c</table>',
			'<div class="anbau-table"><table><tbody><tr><th>A</th><th colspan="2">B</th></tr><tr><td>a</td><td>b</td><td>c</td></tr></tbody></table></div>'
		],
		[
			'quotations and dividers',
			'<p>a</p><hr><blockquote>b<p>c</p></blockquote>',
			'<p>a</p><hr><blockquote><p>b</p><p>c</p></blockquote>'
		],
		[
			'the lists of a word processor',
			'<p class="MsoListParagraphCxSpFirst"><span style="mso-list:Ignore">·&nbsp;</span>one</p> <p class=MsoListParagraph>two</p><p class="MsoListParagraph"><span style="mso-list:Ignore">1.</span>first</p>',
			'<ul><li>one</li><li>two</li></ul><ol><li>first</li></ol>'
		],
		['scripts and styles as nothing', '<script>x</script><style>y</style><p>a</p><iframe src="z"></iframe>', '<p>a</p>']
	])('keeps %s', (_, html, expected) => {
		expect(fromHtml(html)).toBe(expected);
		expect(bodySchema.safeParse(bodyFromHtml(html)).success).toBe(true);
	});
});

describe('a body from Markdown', () => {
	it.each([
		['a ![p](/p.svg) b', '<p>a </p><img src="/p.svg" alt="p" loading="lazy"><p> b</p>'],
		['<b>raw</b> & <i>', '<p>&lt;b&gt;raw&lt;/b&gt; &amp; &lt;i&gt;</p>'],
		['```\ncode\n  more\n```', '<p><code>code</code><br><code>  more</code></p>'],
		[
			'| A | B |\n| - | - |\n| 1 | 2 |',
			'<div class="anbau-table"><table><tbody><tr><th>A</th><th>B</th></tr><tr><td>1</td><td>2</td></tr></tbody></table></div>'
		]
	])('%j', (markdown, expected) => expect(fromMarkdown(markdown)).toBe(expected));

	it('is refused with the line of a live value that is none', () =>
		expect(() => bodyFromMarkdown('fine\n\nnot {product.nothing}')).toThrow('line 3 names “product.nothing”'));

	it('keeps its live values, their forms and its table on the way out and in', () => {
		const markdown =
			"It's {product.price, number, whole} and {product.stock, plural, one {# left} other {'{#}' left}} by {delivery.date, date, long}\n\n| A |\n| - |\n| {attribute.size} |";
		const body = bodyFromMarkdown(markdown);
		expect(bodyFromMarkdown(bodyToMarkdown(body).markdown)).toEqual(body);
		const part = { type: 'documentList' as const, attrs: { codes: ['manuals'] } };
		expect(bodyToMarkdown({ type: 'doc', content: [part] }).left).toEqual([{ at: '/content/0', type: 'documentList' }]);
	});
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
		const ids = hooksOf('category').map((hook) => hook.id);
		expect(ids.slice(0, 4)).toEqual(['page-top', 'above-list', 'below-list', 'page-bottom']);
		expect(ids.slice(4).every((id) => formOf(id) === 'edge')).toBe(true);
	});
});
