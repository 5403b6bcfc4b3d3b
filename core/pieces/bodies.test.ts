import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	bodyFromMarkdown,
	bodySchema,
	bodyToMarkdown,
	liveContext,
	partsOf,
	renderBody,
	type LiveContext
} from '@anbau/core/pieces';
import * as arbitrary from '../testing/arbitraries.js';
import { body } from '../testing/bodies.js';
import { dangersIn } from '../testing/parseHtml.js';

const KNOWN = /^(blockquote|hr|table|tbody|tr|th|td|details|summary|dialog|button|iframe|time|small|b|i)( |$)/;
const contexts: fc.Arbitrary<LiveContext> = arbitrary.product('p').map((product) =>
	liveContext({
		product,
		now: Date.parse('2027-03-31T10:00:00Z'),
		delivery: { cutOff: '14:00', days: [1, 2, 3, 4, 5], holidays: [], leadDays: 1, leadTag: 'lead', leadAttribute: '' },
		base: 'https://anbau.example/live/v1/s'
	})
);

describe('any body', () => {
	it('is taken as it is, and again as it was taken', () => {
		fc.assert(
			fc.property(body, (one) => {
				const taken = bodySchema.parse(one);
				expect(taken).toEqual(one);
				expect(bodySchema.parse(JSON.parse(JSON.stringify(taken)))).toEqual(taken);
			})
		);
	});

	it('renders the same twice, to nothing that can run, and leaves no empty label, row or box', () => {
		fc.assert(
			fc.property(body, contexts, (one, context) => {
				const { html, gone } = renderBody(one, context);
				expect(renderBody(one, { ...context })).toMatchObject({ html, gone });
				expect(dangersIn(html).filter((danger) => !KNOWN.test(danger) || / on/.test(danger))).toEqual([]);
				// What the visitor looked at is filled in by the visitor's browser, and hidden until then.
				const shown = html.replace(/<div class="anbau-products" data-anbau-recent.*?<\/div>/g, 'x');
				expect(shown).not.toMatch(/<(p|li|ul|ol|tr|tbody|h[2-4]|blockquote|summary)><\/\1>/);
			})
		);
	});

	it('says of what goes only places that are in it', () => {
		fc.assert(
			fc.property(body, contexts, (one, context) => {
				for (const { at, values } of renderBody(one, context).gone) {
					let found: unknown = one;
					for (const step of at.split('/').slice(1)) found = (found as Record<string, unknown> | undefined)?.[step];
					expect([at, typeof found]).toEqual([at, 'object']);
					expect(values.every((value) => value.includes('.'))).toBe(true);
				}
			})
		);
	});

	it('comes back from Markdown with the parts that Markdown has, and the others are named', () => {
		fc.assert(
			fc.property(body, (one) => {
				const { markdown, left } = bodyToMarkdown(one);
				const again = bodyFromMarkdown(markdown);
				const has = [...partsOf(again)].map(({ part }) => part.type);
				for (const { type } of left) expect(has).not.toContain(type);
				expect(bodyToMarkdown(again).left).toEqual([]);
			})
		);
	});
});
