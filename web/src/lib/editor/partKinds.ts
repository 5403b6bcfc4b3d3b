import type { JSONContent } from '@tiptap/core';
import { NEW_MEDIA, type BodyPart } from '@anbau/core/pieces';

/** A part that can be put into a body: its name, other words that find it, and how a new one looks. */
export interface PartKind {
	type: BodyPart['type'];
	label: string;
	words: string;
	make: () => JSONContent;
}

const paragraph = (text = ''): JSONContent => ({
	type: 'paragraph',
	...(text ? { content: [{ type: 'text', text }] } : {})
});
const cell = (type: string, text = ''): JSONContent => ({ type, content: [paragraph(text)] });
const row = (type: string, ...texts: string[]): JSONContent => ({
	type: 'tableRow',
	content: texts.map((text) => cell(type, text))
});
const atom = (type: BodyPart['type'], attrs: object) => () => ({ type, attrs: { ...attrs } });

/** The parts in the order in which they are offered. */
export const PART_KINDS: readonly PartKind[] = [
	{
		type: 'heading',
		label: 'Heading',
		words: 'title',
		make: () => ({ type: 'heading', attrs: { level: 2 } })
	},
	{
		type: 'bulletList',
		label: 'Bulleted list',
		words: 'points',
		make: () => ({ type: 'bulletList', content: [{ type: 'listItem', content: [paragraph()] }] })
	},
	{
		type: 'orderedList',
		label: 'Numbered list',
		words: 'steps',
		make: () => ({ type: 'orderedList', content: [{ type: 'listItem', content: [paragraph()] }] })
	},
	{
		type: 'iconList',
		label: 'Icon list',
		words: 'symbols features',
		make: () => ({
			type: 'iconList',
			attrs: { direction: 'column', size: 20, colour: null },
			content: [{ type: 'iconItem', attrs: { icon: 'check' } }]
		})
	},
	{
		type: 'table',
		label: 'Table',
		words: 'rows size chart',
		make: () => ({
			type: 'table',
			content: [row('tableHeader', 'What', 'Value'), row('tableCell', '', ''), row('tableCell', '', '')]
		})
	},
	{
		type: 'columns',
		label: 'Columns',
		words: 'side by side',
		make: () => ({ type: 'columns', content: [1, 2].map(() => ({ type: 'column', content: [paragraph()] })) })
	},
	{
		type: 'blockquote',
		label: 'Quote',
		words: 'citation',
		make: () => ({ type: 'blockquote', content: [paragraph()] })
	},
	{ type: 'horizontalRule', label: 'Divider', words: 'line rule', make: () => ({ type: 'horizontalRule' }) },
	{ type: 'image', label: 'Picture', words: 'image photo', make: atom('image', { src: '/', alt: '' }) },
	{
		type: 'pictureRow',
		label: 'Picture row',
		words: 'images gallery slider',
		make: atom('pictureRow', { pictures: [] })
	},
	{
		type: 'button',
		label: 'Button',
		words: 'link',
		make: atom('button', { label: 'Read more', href: '/' })
	},
	{
		type: 'dialogButton',
		label: 'Button that opens a dialog',
		words: 'popup window overlay',
		make: () => ({ type: 'dialogButton', attrs: { label: 'Read more' }, content: [paragraph()] })
	},
	{
		type: 'accordion',
		label: 'Accordion',
		words: 'questions fold panels',
		make: () => ({
			type: 'accordion',
			attrs: { many: false, open: 'none' },
			content: ['First', 'Second'].map((heading) => ({
				type: 'accordionPanel',
				attrs: { heading },
				content: [paragraph()]
			}))
		})
	},
	{
		type: 'attributeTable',
		label: 'Attribute table',
		words: 'facts specification data',
		make: atom('attributeTable', { codes: [] })
	},
	{
		type: 'documentList',
		label: 'Document list',
		words: 'files manuals downloads pdf',
		make: atom('documentList', { codes: [] })
	},
	{
		type: 'productList',
		label: 'Product list',
		words: 'goes well with related newest most sold',
		make: atom('productList', { source: 'sameCategory', keys: [], code: null, count: 4, heading: '' })
	},
	{
		type: 'media',
		label: 'Film, picture or frame',
		words: 'video media embed map form upload shelf',
		make: atom('media', NEW_MEDIA)
	},
	{
		type: 'reviewQuote',
		label: 'Quoted review',
		words: 'customer stars testimonial',
		make: atom('reviewQuote', { id: '-' })
	},
	{ type: 'rawHtml', label: 'HTML', words: 'code raw', make: atom('rawHtml', { html: '' }) },
	{
		type: 'snippet',
		label: 'Foreign snippet',
		words: 'widget script embed code',
		make: atom('snippet', { title: 'Snippet', code: '', height: 300 })
	}
];

const LABELS = new Map<string, string>(PART_KINDS.map(({ type, label }) => [type, label]));

/** What a part is called. */
export function partLabel(type: string): string {
	return LABELS.get(type) ?? 'Text';
}

/** The parts that a text finds. */
export function partsNamed(text: string): PartKind[] {
	const wanted = text.trim().toLowerCase();
	return PART_KINDS.filter(({ label, words }) => `${label} ${words}`.toLowerCase().includes(wanted));
}
