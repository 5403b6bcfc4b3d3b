import type { AttributeDefinition, Facts, PageKind } from '@anbau/core/catalog';
import {
	bodiesOf,
	formOf,
	iconSvg,
	partsOf,
	renderPiece,
	styleProperties,
	type LiveContext,
	type Piece,
	type RenderedPiece,
	type Visitor
} from '@anbau/core/pieces';
import type { Predicate } from '@anbau/core/rules';
import { exceptionsByPiece, isOnFor, reachPredicate } from './decide.js';
import { emptyPage, type PageDocument, type TabEntry } from './document.js';
import { edgeEntry, hookEntry, tabEntries, textEntry, type Candidate } from './entries.js';
import { isOfTabs, withExceptions, type Exception, type PieceException, type TabException } from './exception.js';
import { byOrder, type Ordered } from './order.js';
import { placementsOf, type ReleaseContent } from './release.js';
import { mergedStrip, tabOnProduct } from './strip.js';

/** A page asked for. */
export interface PageRequest {
	facts: Facts;
	live: LiveContext;
	visitor: Visitor;
	/** Milliseconds since the epoch. */
	now: number;
}

/** What one product has of its own. */
interface Own {
	tabs: TabException[];
	pieces: Map<string, PieceException[]>;
}
const NOTHING_OWN: Own = { tabs: [], pieces: new Map() };

/** Whether a piece shows on a page, and until when that holds. */
interface Decision {
	rendered: RenderedPiece | null;
	next: number | null;
}
const NOT_SHOWN: Decision = { rendered: null, next: null };

/**
 * A release made ready to answer pages: its placements by page kind, in order, and targets compiled. Rules about
 * age are compiled for the day, so a compiled release is made anew at least daily.
 */
export class CompiledRelease {
	private readonly byPage = new Map<PageKind, Candidate[]>();
	private readonly reaches = new Map<string, Predicate>();
	private readonly own = new Map<string, Own>();
	private readonly remembers: boolean;

	constructor(
		readonly number: number,
		readonly content: ReleaseContent,
		readonly zone: string,
		private readonly isOff: (slug: string) => boolean,
		now: number
	) {
		const exceptionsOf = exceptionsByPiece(content.exceptions);
		for (const [slug, piece] of Object.entries(content.pieces)) {
			this.reaches.set(slug, reachPredicate(piece, exceptionsOf(slug), now));
			for (const placement of placementsOf(piece)) {
				const { priority, since } = placement;
				const candidate = { slug, piece, placement, priority, since: since ?? '', id: `${slug} ${placement.id}` };
				const list = this.byPage.get(placement.page) ?? [];
				this.byPage.set(placement.page, list);
				list.push(candidate);
			}
		}
		for (const list of this.byPage.values()) list.sort(byOrder);
		for (const exception of content.exceptions) this.keep(exception);
		this.remembers = Object.values(content.pieces).some(listsRecent);
	}

	private keep(exception: Exception): void {
		const own = this.own.get(exception.product) ?? { tabs: [], pieces: new Map<string, PieceException[]>() };
		this.own.set(exception.product, own);
		if (isOfTabs(exception)) own.tabs.push(exception);
		else own.pieces.set(exception.piece, [...(own.pieces.get(exception.piece) ?? []), exception]);
	}

	/**
	 * Resolves a page: what hangs on each of its hooks, in order, its tabs merged with the theme's own, what stands
	 * in its text and at the edges of the window. On the page of a hidden product nothing hangs.
	 */
	resolve(request: PageRequest): PageDocument {
		const { page } = request.facts;
		const own = (page.kind === 'product' && this.own.get(page.key)) || NOTHING_OWN;
		const document: PageDocument = {
			...emptyPage(this.number, page),
			strip: this.content.strip,
			style: styleProperties(this.content.style),
			locale: request.live.locale,
			remembers: this.remembers
		};
		const tabs: (TabEntry & Ordered)[] = [];
		const decided = new Map<string, Decision>();
		for (const candidate of this.candidates(request, own)) {
			const { slug } = candidate;
			const decision = decided.get(slug) ?? this.decide(slug, candidate.piece, own.pieces.get(slug) ?? [], request);
			decided.set(slug, decision);
			if (decision.rendered) hang(document, tabs, candidate, decision.rendered);
		}
		const nexts = [...decided.values()].flatMap(({ next }) => next ?? []);
		document.validUntil = nexts.length === 0 ? null : new Date(Math.min(...nexts)).toISOString();
		if (page.kind === 'product' && (tabs.length > 0 || this.content.houseTabs.length > 0)) {
			const houseTabs = this.content.houseTabs.map((tab) => tabOnProduct(tab, own.tabs));
			document.tabs = mergedStrip(houseTabs, tabs, (name) => iconSvg(name, request.live.icon));
		}
		this.addTheme(document);
		return document;
	}

	/** The placements of a page in their order, own priorities of the product counted. */
	private candidates({ facts, live }: PageRequest, own: Own): Candidate[] {
		if (live.product?.visible === false) return [];
		const list = this.byPage.get(facts.page.kind) ?? [];
		const priorities = [...own.pieces.values()].flat().filter((one) => one.mode === 'priority');
		if (priorities.length === 0) return list;
		return list
			.map((candidate) => {
				const found = priorities.find(
					(one) => one.piece === candidate.slug && one.placement === candidate.placement.id
				);
				return found ? { ...candidate, priority: found.priority } : candidate;
			})
			.sort(byOrder);
	}

	private decide(slug: string, piece: Piece, own: readonly PieceException[], request: PageRequest): Decision {
		if (this.isOff(slug) || !this.reaches.get(slug)?.(request.facts)) return NOT_SHOWN;
		const { on, next } = isOnFor(piece, { visitor: request.visitor, now: request.now, zone: this.zone });
		if (!on) return { rendered: null, next };
		const rendered = renderPiece(slug, withExceptions(piece, own), request.live);
		return { rendered, next: rendered.until === null ? next : Math.min(rendered.until, next ?? Infinity) };
	}

	/** What of the theme the page needs: its parts that hang elsewhere, and how the hooks that are named are found. */
	private addTheme(document: PageDocument): void {
		const { hooks, houseParts } = this.content;
		document.houseParts = houseParts
			.filter(({ page }) => page === document.page.kind)
			.map(({ from, hook, priority }) => ({ from, hook, priority }));
		const wanted = [
			...Object.keys(document.hooks),
			...document.houseParts.map(({ hook }) => hook),
			...(document.tabs.length > 0 ? ['tabs'] : []),
			...(document.text.length > 0 ? ['text'] : []),
			...(document.gallery.length > 0 ? ['gallery'] : []),
			...(document.edges.length > 0 ? ['above-buy', 'below-buy'] : [])
		];
		for (let id = wanted.pop(); id !== undefined; id = wanted.pop()) {
			const hook = hooks.find((one) => one.id === id);
			if (!hook || id in document.bindings) continue;
			document.bindings[id] = { binding: hook.binding, fallback: hook.fallback };
			if (hook.fallback !== null) wanted.push(hook.fallback);
		}
	}

	/** How an attribute is read by shoppers: its label and unit as they were published. */
	attribute(definition: AttributeDefinition | undefined): AttributeDefinition | undefined {
		const published = definition && this.content.attributes[definition.code];
		return published ? { ...definition, ...published } : definition;
	}
}

/** Puts a rendered piece where its placement says. */
function hang(
	document: PageDocument,
	tabs: (TabEntry & Ordered)[],
	candidate: Candidate,
	rendered: RenderedPiece
): void {
	const { hook } = candidate.placement;
	const form = formOf(hook);
	if (form === 'tabs') tabs.push(...tabEntries(candidate, rendered));
	else if (rendered.html === '') return;
	else if (form === 'text') document.text.push(textEntry(candidate, rendered));
	else if (form === 'edge') document.edges.push(edgeEntry(candidate, rendered));
	else if (form === 'gallery') document.gallery.push(hookEntry(candidate, rendered));
	else (document.hooks[hook] ??= []).push(hookEntry(candidate, rendered));
}

/** Whether a piece lists the products that a visitor looked at. */
function listsRecent(piece: Piece): boolean {
	return bodiesOf(piece).some(({ body }) =>
		[...partsOf(body)].some(({ part }) => part.type === 'productList' && part.attrs.source === 'recent')
	);
}
