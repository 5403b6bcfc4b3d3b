import { load, type Cheerio, type CheerioAPI } from 'cheerio';
import type { Element } from 'domhandler';
import {
	edgeAttributes,
	hashOf,
	isHeadingName,
	onHooks,
	panelAttributes,
	placesInText,
	slotAttributes,
	type Attributes,
	type PageDocument
} from '@anbau/core/placement';
import { foundBy, HooksInPage } from './hooksInPage.js';

/**
 * Puts a page's pieces into its HTML, as the storefront's script would; the script then only wires their behaviour.
 * A hook that the page lacks is skipped. `style` is the address of the pieces' style sheet.
 */
export function weave(html: string, document: PageDocument, style: string): string {
	const $ = load(html);
	const hooks = new HooksInPage($, document.bindings);
	const woven = [
		weaveHooks($, hooks, document),
		weaveText($, hooks, document),
		weaveGallery($, hooks, document),
		weaveTabs($, hooks, document),
		weaveEdges($, document)
	];
	// Found from above; a selector would walk through the whole page.
	const head = $.root().children('html').children('head');
	if (woven.some(Boolean) && head.children(`link[href="${style}"]`).length === 0)
		head.append($('<link>').attr({ rel: 'stylesheet', href: style }));
	return $.html();
}

const INSERTED = '[data-anbau-hook], .anbau, .anbau-hook, script, style, template';
const PICTURES = 'img, video, :has(img, video)';

/** Each of these answers whether it put anything in. */
function weaveHooks($: CheerioAPI, hooks: HooksInPage, document: PageDocument): boolean {
	// Every hook is found before a part is moved, which another hook may be bound to.
	const found = [...onHooks(document)].flatMap(([hook, items]) => {
		const parts = items.map((item) => ('from' in item ? foundBy($, item.from).first() : null));
		if (items.every((item, i) => 'from' in item && parts[i]?.length === 0)) return [];
		const holder = hooks.holder(hook);
		return holder ? [{ holder, items, parts }] : [];
	});
	for (const { holder, items, parts } of found) {
		items.forEach((item, i) => {
			if ('entry' in item) holder.append(holding($, 'div', slotAttributes(item.entry), item.entry.html));
			else if (parts[i] && parts[i].length > 0 && !isInside(holder, parts[i])) {
				// Its place is marked, as the script marks it.
				parts[i].before('<!---->');
				// Where it is now, its selector may not find it any more.
				holder.append(parts[i].attr('data-anbau-woven', item.from));
			}
		});
	}
	return found.length > 0;
}

function weaveText($: CheerioAPI, hooks: HooksInPage, { text }: PageDocument): boolean {
	const container = text.length > 0 ? hooks.container('text') : null;
	if (!container) return false;
	const own = container.children().not(INSERTED).toArray();
	const headings = own.map(({ name }) => isHeadingName(name));
	for (const entry of text) {
		for (const place of placesInText(headings, entry)) {
			const slot = holding($, 'div', slotAttributes(entry), entry.html);
			const next = own[place];
			if (next) $(next).before(slot);
			else container.append(slot);
		}
	}
	return true;
}

/** Media stand among the theme's own pictures, which count as 10, 20, 30. */
function weaveGallery($: CheerioAPI, hooks: HooksInPage, { gallery }: PageDocument): boolean {
	const container = gallery.length > 0 ? hooks.container('gallery') : null;
	if (!container) return false;
	const own = container.children(PICTURES).not(INSERTED).toArray();
	const end = own.at(-1)?.nextSibling;
	for (const entry of gallery) {
		const slot = holding($, 'div', slotAttributes(entry), entry.html);
		const next = own[Math.floor(entry.priority / 10)] ?? end;
		if (next) slot.insertBefore($(next as Element));
		else container.append(slot);
	}
	return true;
}

/** The panels of pieces, each under its heading, in the theme's marked strip or in one of our own below it. */
function weaveTabs($: CheerioAPI, hooks: HooksInPage, { tabs }: PageDocument): boolean {
	const own = tabs.filter((tab) => tab.source === 'piece');
	const strip = own.length > 0 ? hooks.container('tabs') : null;
	if (!strip) return false;
	const isMarked = strip.is('[data-anbau-hook]');
	const holder = isMarked ? strip : $('<div class="anbau-hook" data-anbau-made="woven-tabs"></div>');
	if (!isMarked) strip.after(holder);
	for (const tab of own) holder.append(holding($, 'section', panelAttributes(tab), panelHtml(tab)));
	return true;
}

/** What stands in a panel: its heading, which a strip says for the eye, and its content. */
function panelHtml({ heading, html = '' }: { heading: string; html?: string }): string {
	return `<h2 class="anbau-label" data-anbau-label="">${escaped(heading)}</h2>${html}`;
}

function weaveEdges($: CheerioAPI, { edges }: PageDocument): boolean {
	for (const edge of edges)
		$.root()
			.children('html')
			.children('body')
			.append(holding($, 'div', edgeAttributes(edge), edge.html));
	return edges.length > 0;
}

/** An element that holds a piece, with what it holds by its hash. */
function holding($: CheerioAPI, name: 'div' | 'section', attributes: Attributes, html: string): Cheerio<Element> {
	return ($(`<${name}></${name}>`) as Cheerio<Element>)
		.attr({ ...attributes, 'data-anbau-woven': hashOf(html) })
		.html(html);
}

function isInside(holder: Cheerio<Element>, part: Cheerio<Element>): boolean {
	return holder.closest(part as unknown as string).length > 0;
}

function escaped(text: string): string {
	return text.replace(/[&<>"]/g, (char) => `&#${char.charCodeAt(0)};`);
}
