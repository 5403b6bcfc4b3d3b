import { bodyFromHtml } from './fromHtml.js';
import { bodyFromMarkdown } from './fromMarkdown.js';
import type { Body } from './body.js';
import type { BodyRenderer } from './render.js';

/** A rich text of an attribute as a body: HTML where it has elements, else Markdown. Braces mean nothing in it. */
export function richBody(text: string): Body {
	return /<[a-z][^>]*>/i.test(text) ? bodyFromHtml(text, { live: false }) : bodyFromMarkdown(text, { live: false });
}

/** A rich text as HTML, rendered like any body, so that nothing of it can run. */
export function richHtml(text: string, renderer: BodyRenderer): string {
	return renderer.blocks(richBody(text).content, '');
}
