import { edgeAttributes, isHeadingName, placesInText } from '@anbau/core/placement/onPage';
import type { EdgeEntry, HookEntry, PageDocument, TextEntry } from '@anbau/core/placement';
import { foundBy } from './foundBy.js';
import type { Placed } from './place.js';

/** Places what stands inside the text and at the edges of the window, and the theme's parts that hang elsewhere. */
export function placeElsewhere(placed: Placed, document_: PageDocument): void {
	const { text, edges, gallery } = document_;
	for (const part of document_.houseParts) movePart(placed, part, document_.hooks);
	if (text.length > 0) placeInText(placed, text);
	if (gallery.length > 0) placeInGallery(placed, gallery);
	if (edges.length > 0) placeAtEdges(placed, edges);
}

/** Moves an element of the theme, if the page has it; it stands before pieces of its number, and can go back. */
function movePart(
	placed: Placed,
	{ from, hook, priority }: PageDocument['houseParts'][number],
	hooks: PageDocument['hooks']
): void {
	// What a server moved is marked, because its selector may not find it where it is now.
	const { root } = placed;
	const part = foundBy(root, `[data-anbau-woven=${JSON.stringify(from)}]`) ?? foundBy(root, from);
	if (!part) return;
	part.removeAttribute('data-anbau-woven');
	const holder = placed.finder.holder(hook);
	if (!holder || part.contains(holder)) return;
	const later = (hooks[hook] ?? [])
		.filter((entry) => entry.priority >= priority)
		.map((entry) => `${entry.piece} ${entry.placement}`);
	const next = [...holder.children].find(
		(slot) => slot instanceof HTMLElement && later.includes(`${slot.dataset.anbauPiece} ${slot.dataset.anbauPlacement}`)
	);
	const place = root.createComment('');
	// A server may have moved it already; where it stood before is not known then.
	const isWoven = part.parentNode === holder;
	if (!isWoven) part.replaceWith(place);
	holder.insertBefore(part, next ?? null);
	placed.add(part, () => (place.isConnected ? place.replaceWith(part) : isWoven || part.remove()));
}

const INSERTED = '[data-anbau-hook], .anbau, .anbau-hook, script, style, template';
const PICTURES = 'img, video, :has(img, video)';

/** Puts a piece into a container before a part of it, or at its end. */
function put({ slot, add }: Placed, entry: HookEntry, container: Element, next: Node | null | undefined): void {
	const element = slot(entry);
	if (!element) return;
	container.insertBefore(element, next ?? null);
	add(element, () => element.remove());
}

/** Paragraphs and headings are counted on the theme's own content, never on what is inserted. */
function placeInText(placed: Placed, text: TextEntry[]): void {
	const container = placed.finder.at('text');
	if (!container) {
		placed.lacking.push('text');
		return;
	}
	const own = [...container.children].filter((child) => !child.matches(INSERTED));
	const headings = own.map(({ tagName }) => isHeadingName(tagName));
	for (const entry of text) {
		for (const at of placesInText(headings, entry)) put(placed, entry, container, own[at]);
	}
}

/** Media stand among the theme's own pictures, which count as 10, 20, 30; the first of all is the main picture. */
function placeInGallery(placed: Placed, gallery: HookEntry[]): void {
	const container = placed.finder.at('gallery');
	if (!container) {
		placed.lacking.push('gallery');
		return;
	}
	const own = [...container.children].filter((child) => child.matches(PICTURES) && !child.matches(INSERTED));
	const end = own.at(-1)?.nextSibling;
	for (const entry of gallery) put(placed, entry, container, own[Math.floor(entry.priority / 10)] ?? end);
}

/** Floats pieces at the edges: they come after so much scrolling, and on a phone give way to the buy button. */
function placeAtEdges(placed: Placed, edges: EdgeEntry[]): void {
	const { root } = placed;
	const button = buyButton(placed);
	const slots = edges.flatMap((entry) => {
		const slot = placed.hold('div', edgeAttributes(entry), entry.html);
		if (!slot) return [];
		root.body.append(slot);
		placed.add(slot, () => slot.remove());
		return [{ slot, reveal: entry.reveal }];
	});
	const look = () => {
		const keepClear = innerWidth < 768 ? button?.getBoundingClientRect() : undefined;
		for (const { slot, reveal } of slots) {
			slot.classList.toggle('anbau-waits', scrollY < reveal);
			slot.classList.toggle(
				'anbau-aside',
				keepClear !== undefined && overlaps(slot.getBoundingClientRect(), keepClear)
			);
		}
	};
	addEventListener('scroll', look);
	addEventListener('resize', look);
	look();
	placed.add(root.body, () => {
		removeEventListener('scroll', look);
		removeEventListener('resize', look);
	});
}

/** The button that buys: the one by which the theme sends the form at its hooks. */
function buyButton({ finder }: Placed): Element | null {
	const near = finder.at('above-buy') ?? finder.at('below-buy');
	const form = near?.closest('form') ?? near?.parentElement;
	return form?.querySelector('[type="submit"], button') ?? null;
}

function overlaps(a: DOMRect, b: DOMRect): boolean {
	return a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;
}
