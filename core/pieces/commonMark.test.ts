import spec from 'commonmark-spec';
import { fromMarkdown } from 'mdast-util-from-markdown';
import { describe, expect, it } from 'vitest';
import { bodyFromMarkdown, bodySchema, bodyToMarkdown } from '@anbau/core/pieces';
import { plainFormOfBody, plainFormOfHtml } from '../testing/plainForm.js';

/**
 * The examples of the CommonMark specification 0.31.2 (John MacFarlane, CC BY-SA 4.0) from the registry's
 * `commonmark-spec`, those whose constructs bodies have: no raw HTML, no blocks of code, no
 * links that lead nowhere.
 */
const hasOther = (node: unknown): boolean => {
	if (typeof node !== 'object' || node === null || !('type' in node)) return false;
	if (node.type === 'html' || node.type === 'code') return true;
	return 'children' in node && Array.isArray(node.children) && node.children.some(hasOther);
};
const EXAMPLES = spec.tests
	.map(({ markdown, html, number }) => ({
		markdown: markdown.replace(/→/g, '\t'),
		html: html.replace(/→/g, '\t'),
		number
	}))
	.filter(({ markdown, html }) => !hasOther(fromMarkdown(markdown)) && !html.includes('href=""'));
const plain = { live: false };

describe('the CommonMark specification', () => {
	it('has the examples that are meant', () => expect(EXAMPLES.length).toBeGreaterThan(480));

	it.each(EXAMPLES)('example $number is read as the specification says', ({ markdown, html }) => {
		const body = bodyFromMarkdown(markdown, plain);
		expect(plainFormOfBody(body)).toEqual(plainFormOfHtml(html));
	});

	it.each(EXAMPLES)('example $number comes back from what is written', ({ markdown }) => {
		const body = bodyFromMarkdown(markdown, plain);
		const written = bodyToMarkdown(body);
		expect(written.left).toEqual([]);
		const again = bodyFromMarkdown(written.markdown);
		expect(plainFormOfBody(again)).toEqual(plainFormOfBody(body));
		if (bodySchema.safeParse(body).success) expect(bodySchema.safeParse(again).success).toBe(true);
	});
});
