import { Extension, type Editor } from '@tiptap/core';
import { Plugin } from '@tiptap/pm/state';
import { bodyFromHtml, bodyFromMarkdown, bodySchema, type Body } from '@anbau/core/pieces';

const PLAIN = { live: false };
/** What only Markdown writes: headings, lists, quotations, tables, marks, links at the beginning of a line or in it. */
const MARKDOWN = /^(#{1,6} |[-*+] |\d+[.)] |> |\|.*\|)|\*\*[^*]+\*\*|\[[^\]]+\]\([^)]+\)/m;

/**
 * What is pasted comes in as a body: from another program's HTML or from Markdown, read by the same rules as through
 * the API, so that nothing comes along that a body cannot hold. What does not fit is said.
 */
export function cleanPaste(onproblem: (message: string) => void): Extension {
	return Extension.create({
		name: 'cleanPaste',
		addProseMirrorPlugins() {
			const { editor } = this;
			return [
				new Plugin({
					props: {
						handlePaste: (_view, event) => {
							const body = bodyIn(event.clipboardData);
							return body !== null && insert(editor, body, onproblem);
						}
					}
				})
			];
		}
	});
}

/** The body that a clipboard holds; null where the editor's own way is right: its own content, and plain lines. */
function bodyIn(clipboard: DataTransfer | null): Body | null {
	if (!clipboard) return null;
	const html = clipboard.getData('text/html');
	if (html.includes('data-pm-slice')) return null;
	if (html.trim() !== '') return bodyFromHtml(html, PLAIN);
	const text = clipboard.getData('text/plain');
	return MARKDOWN.test(text) ? bodyFromMarkdown(text, PLAIN) : null;
}

function insert(editor: Editor, body: Body, onproblem: (message: string) => void): boolean {
	const reading = bodySchema.safeParse(body);
	if (!reading.success) {
		const [first] = reading.error.issues;
		onproblem(`Not pasted: what was copied ${first?.message ?? 'does not fit'}.`);
		return true;
	}
	const [only] = body.content;
	// A single line joins the text that it is pasted into.
	const content = body.content.length === 1 && only?.type === 'paragraph' ? (only.content ?? []) : body.content;
	if (content.length > 0) editor.chain().insertContent(content).scrollIntoView().run();
	return true;
}
