import { hrefFault, srcFault } from './address.js';
import type { BodyPart } from './body.js';
import { element, escapeHtml } from './html.js';
import { iconSvg } from './icons.js';
import { accordionHtml, dialogHtml } from './opening.js';
import type * as parts from './parts.js';
import type { BodyRenderer } from './render.js';
import { attributeTable, documentList, productList } from './renderCatalog.js';
import { frameHtml, isAllowedHost, snippetFrame } from './frames.js';
import { NEW_MEDIA } from './media.js';
import { attributeMedia, renderMedia } from './renderMedia.js';
import { quoteHtml } from './reviewParts.js';
import { richHtml } from './richText.js';
import { table } from './renderTable.js';
import { styleAttribute } from './style.js';

/** Renders a part: nothing when it stays away, several blocks when it is repeated. */
type RenderPart<Part> = (part: Part, renderer: BodyRenderer, at: string) => string[];

const paragraph: RenderPart<parts.Paragraph> = ({ content = [] }, renderer, at) => {
	const [only] = content;
	if (content.length === 1 && only?.type === 'liveValue') {
		const [value] = renderer.values(only.attrs.name);
		if (value?.type === 'rich') return [richHtml(value.text, renderer)].filter((html) => html !== '');
		if (value?.type === 'embed') return embed(value.address, renderer);
		if (value?.type === 'media') return [attributeMedia(value.address, renderer)];
	}
	return renderer.repeated(content, at, (html) => element('p', {}, html));
};

/** A frame that an attribute names alone, where the store lets its host in. */
function embed(address: string, { context }: BodyRenderer): string[] {
	if (!isAllowedHost(address, context)) return [];
	const { ratio, allow } = NEW_MEDIA;
	return [frameHtml({ address, title: '', still: null, ratio, allow }, context)];
}

const heading: RenderPart<parts.Heading> = ({ attrs, content = [] }, renderer, at) =>
	renderer.repeated(content, at, (html) => element(`h${attrs.level}`, {}, html));

const list: RenderPart<parts.List> = (part, renderer, at) => {
	const items = part.content.flatMap((item, i) => listItem(item, renderer, `${at}/content/${i}`)).join('');
	if (items === '') return [];
	const start = part.type === 'orderedList' && (part.attrs?.start ?? 1) !== 1 ? part.attrs?.start : null;
	return [element(part.type === 'orderedList' ? 'ol' : 'ul', { start }, items)];
};

/** The first paragraph is the item's own line: where it goes, the item goes; where it repeats, the item does. */
function listItem(item: parts.ListItem, renderer: BodyRenderer, at: string): string[] {
	const [first, ...rest] = item.content;
	if (first?.type !== 'paragraph') {
		const html = renderer.blocks(item.content, `${at}/content`);
		return html === '' ? [] : [element('li', {}, html)];
	}
	const lines = renderer.repeated(first.content ?? [], `${at}/content/0`, (html) => html);
	if (lines.length === 0) return [];
	const below = rest.length > 0 ? renderer.blocks(rest, `${at}/content`, { from: 1 }) : '';
	return lines.map((line) => element('li', {}, below === '' ? line : element('p', {}, line) + below));
}

const image: RenderPart<parts.Image> = ({ attrs }, renderer, at) => {
	const src = renderer.address(attrs.src, srcFault);
	if (src.missing.length > 0) return renderer.leaveOut(at, src.missing);
	return src.text === null ? [] : [element('img', { src: src.text, alt: attrs.alt ?? '', loading: 'lazy' })];
};

const quote: RenderPart<parts.Quote> = ({ content }, renderer, at) => {
	const html = renderer.blocks(content, `${at}/content`);
	return html === '' ? [] : [element('blockquote', {}, html)];
};

const columns: RenderPart<parts.Columns> = ({ content }, renderer, at) => {
	const filled = content
		.map((column, i) => renderer.blocks(column.content, `${at}/content/${i}/content`))
		.filter((html) => html !== '');
	if (filled.length === 0) return [];
	const inner = filled.map((html) => element('div', {}, html)).join('');
	return [element('div', { class: `anbau-columns anbau-columns-${filled.length}` }, inner)];
};

const iconList: RenderPart<parts.IconList> = ({ attrs, content }, renderer, at) => {
	const items = content.flatMap(({ attrs: { icon }, content: line = [] }, i) =>
		renderer.repeated(line, `${at}/content/${i}`, (html) =>
			element('li', {}, (icon ? iconSvg(icon, renderer.context.icon) : '') + element('span', {}, html))
		)
	);
	if (items.length === 0) return [];
	const style = styleAttribute({ iconSize: attrs.size, accent: attrs.colour });
	const name = attrs.direction === 'row' ? 'anbau-icons anbau-icons-row' : 'anbau-icons';
	return [element('ul', { class: name, 'data-anbau-style': style }, items.join(''))];
};

const button: RenderPart<parts.Button> = ({ attrs }, renderer, at) => {
	const label = renderer.text(attrs.label);
	const href = renderer.address(attrs.href, hrefFault);
	const missing = [...label.missing, ...href.missing];
	if (missing.length > 0) return renderer.leaveOut(at, missing);
	if (href.text === null) return [];
	return [element('p', {}, element('a', { class: 'anbau-button', href: href.text }, escapeHtml(label.text)))];
};

const dialogButton: RenderPart<parts.DialogButton> = ({ attrs, content }, renderer, at) => {
	const label = renderer.text(attrs.label);
	if (label.missing.length > 0) return renderer.leaveOut(at, label.missing);
	const html = renderer.blocks(content, `${at}/content`);
	return html === '' ? [] : [dialogHtml(label.text, label.text, html)];
};

const pictureRow: RenderPart<parts.PictureRow> = ({ attrs }, renderer, at) => {
	const missing: string[] = [];
	const pictures = attrs.pictures.flatMap(({ src, alt }) => {
		const address = renderer.address(src, srcFault);
		missing.push(...address.missing);
		return address.text === null
			? []
			: [element('li', {}, element('img', { src: address.text, alt: alt ?? '', loading: 'lazy' }))];
	});
	if (pictures.length === 0) return renderer.leaveOut(at, missing);
	const row = element('ul', { tabindex: 0, role: 'group', 'aria-label': 'Pictures' }, pictures.join(''));
	return [element('div', { class: 'anbau-pictures', 'data-anbau-pictures': true }, row)];
};

const accordion: RenderPart<parts.Accordion> = ({ attrs, content }, renderer, at) => {
	const panels = content.flatMap((panel, i) => {
		const label = renderer.text(panel.attrs.heading);
		if (label.missing.length > 0) return renderer.leaveOut(`${at}/content/${i}`, label.missing);
		const html = renderer.blocks(panel.content, `${at}/content/${i}/content`);
		return html === '' || label.text === '' ? [] : [{ slug: null, heading: label.text, icon: '', html, above: '' }];
	});
	return panels.length === 0 ? [] : [accordionHtml(panels, attrs)];
};

/** How each part is rendered. */
export const PART_RENDERERS: { [Type in BodyPart['type']]: RenderPart<Extract<BodyPart, { type: Type }>> } = {
	paragraph,
	heading,
	image,
	bulletList: list,
	orderedList: list,
	blockquote: quote,
	horizontalRule: () => [element('hr', {})],
	table,
	columns,
	iconList,
	button,
	dialogButton,
	attributeTable,
	documentList,
	pictureRow,
	productList,
	accordion,
	rawHtml: ({ attrs }) => (attrs.html.trim() === '' ? [] : [element('div', { class: 'anbau-html' }, attrs.html)]),
	snippet: ({ attrs }, { context }) => (attrs.code.trim() === '' ? [] : [snippetFrame(attrs, context)]),
	media: ({ attrs }, renderer, at) => {
		const { html, missing } = renderMedia(attrs, renderer);
		return html === '' ? renderer.leaveOut(at, missing) : [html];
	},
	reviewQuote: ({ attrs }, renderer, at) => {
		const { reviews, locale } = renderer.context;
		const review = reviews.byId(attrs.id);
		return review ? [quoteHtml(review, locale)] : renderer.leaveOut(at, []);
	}
};
