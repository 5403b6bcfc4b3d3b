import { z } from 'zod';
import { bodySchema, type Body } from './body.js';
import { bodyFromHtml } from './fromHtml.js';
import { bodyFromMarkdown } from './fromMarkdown.js';
import { readInside } from './readInside.js';

const textForm = (name: 'markdown' | 'html', read: (text: string) => Body) =>
	z.strictObject({ [name]: z.string().max(500_000, 'has more than 500000 characters') }).transform((input, context) => {
		try {
			return read(input[name] ?? '');
		} catch (error) {
			const message = error instanceof Error ? error.message : String(error);
			context.addIssue({ code: 'custom', path: [name], message });
			return z.NEVER;
		}
	});

const fromMarkdown = textForm('markdown', (text) => bodyFromMarkdown(text)).pipe(bodySchema as z.ZodType<Body, Body>);
const fromHtml = textForm('html', (text) => bodyFromHtml(text)).pipe(bodySchema as z.ZodType<Body, Body>);

/** A body going in: the editor's document, or `{markdown}` or `{html}`. */
export const bodyInput = z.unknown().transform((input, context): Body => {
	const has = (name: string) => typeof input === 'object' && input !== null && name in input;
	return readInside(has('markdown') ? fromMarkdown : has('html') ? fromHtml : bodySchema, input, context);
});
