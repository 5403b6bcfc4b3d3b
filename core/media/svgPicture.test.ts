import { describe, expect, it } from 'vitest';
import { cleanSvgPicture, looksLikeSvg } from './svgPicture.js';

const svg = (inner: string) => `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10">${inner}</svg>`;

describe('a drawing', () => {
	it('keeps what draws: shapes, text, gradients and copies of its own parts', () => {
		const drawing = svg(
			'<defs><linearGradient id="g"><stop offset="0" stop-color="#fff"></stop></linearGradient></defs>' +
				'<rect id="r" width="4" height="4" fill="url(#g)"></rect><use href="#r" x="5"></use><text x="1" y="9">Hi</text>'
		);
		const clean = cleanSvgPicture(drawing);
		for (const kept of ['linearGradient', 'fill="url(#g)"', 'href="#r"', '<text', 'viewBox="0 0 10 10"', 'xmlns='])
			expect(clean).toContain(kept);
	});

	it('loses whatever runs, links or loads', () => {
		const clean = cleanSvgPicture(
			svg(
				'<script>alert(1)</script><style>@import "https://x.example"</style><rect onload="a()" width="1" height="1"/>' +
					'<a href="javascript:a()"><circle r="1"/></a><image href="https://x.example/p.png"/>' +
					'<foreignObject><iframe src="https://x.example"></iframe></foreignObject>' +
					'<use href="https://x.example/#a"/><rect fill="url(https://x.example/#p)" width="1" height="1"/>' +
					'<animate attributeName="href" to="javascript:a()"/>'
			)
		);
		for (const gone of ['script', 'style', 'onload', 'javascript', 'x.example', 'iframe', '<a', 'animate'])
			expect(clean).not.toContain(gone);
	});

	it('is refused where it draws nothing, is too large, or could unfold to any size', () => {
		const bomb = '<!DOCTYPE svg [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]>' + svg('<text>&b;</text>');
		expect(() => cleanSvgPicture(bomb)).toThrow(/entities/);
		expect(() => cleanSvgPicture(svg('<title>Nothing</title>'))).toThrow(/draws nothing/);
		expect(() => cleanSvgPicture(svg('<path d="M0 0"/>'.repeat(200_000)))).toThrow(/larger than 2 MB/);
	});

	it('is told by how it begins', () => {
		for (const text of ['<svg>', '<?xml version="1.0"?>\n<!-- x -->\n<svg ', '<!DOCTYPE svg [<!ENTITY a "b">]><svg>'])
			expect(looksLikeSvg(text), text).toBe(true);
		for (const text of ['<html><svg>', 'svg', '<svgx>', '']) expect(looksLikeSvg(text), text).toBe(false);
	});
});
