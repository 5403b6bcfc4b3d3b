import type { AttributeDefinition, Facts, PageKind, PageRef } from '@anbau/core/catalog';
import {
	bodiesOf,
	partsOf,
	renderPiece,
	styleProperties,
	type Device,
	type LiveContext,
	type Piece,
	type PieceKind,
	type RenderedPiece,
	type Visitor
} from '@anbau/core/pieces';
import type { Predicate } from '@anbau/core/rules';
import { exceptionsByPiece, isOnFor, reachPredicate } from './decide.js';
import { byOrder, type Ordered } from './order.js';
import { placementsOf, type HungPlacement, type ReleaseContent } from './release.js';

/** A piece on a point hook of a page. */
export interface HookEntry {
	piece: string;
	placement: string;
	kind: PieceKind;
	priority: number;
	devices: Device[];
	width: HungPlacement['width'];
	html: string;
}

/** A tab of a page's strip: the theme's own, or a panel of a piece. */
export interface TabEntry {
	source: 'piece' | 'house';
	piece?: string;
	placement?: string;
	slug: string;
	heading: string;
	icon: string | null;
	priority: number;
	hidden: boolean;
	devices?: Device[];
	html?: string;
}

/** What a page shows: the document that the storefront's script and the weave work from. */
export interface PageDocument {
	release: number;
	page: PageRef;
	/** The instant at which a window opens or closes, or a live value changes; null when none is near. */
	validUntil: string | null;
	hooks: Record<string, HookEntry[]>;
	tabs: TabEntry[];
	/** The store's style as CSS custom properties. */
	style: Record<string, string>;
	/** The language of what is filled in, BCP 47. */
	locale: string;
	/** Whether some piece of the store lists what a visitor looked at, so that visited products are remembered. */
	remembers: boolean;
}

/** The document of a page that shows nothing. */
export function emptyPage(release: number, page: PageRef): PageDocument {
	return { release, page, validUntil: null, hooks: {}, tabs: [], style: {}, locale: 'en', remembers: false };
}

/** A page asked for. */
export interface PageRequest {
	facts: Facts;
	live: LiveContext;
	visitor: Visitor;
	/** Milliseconds since the epoch. */
	now: number;
}

interface Candidate extends Ordered {
	slug: string;
	piece: Piece;
	placement: HungPlacement;
}

/**
 * A release made ready to answer pages: its placements by page kind, in order, and targets compiled. Rules about
 * age are compiled for the day, so a compiled release is made anew at least daily.
 */
export class CompiledRelease {
	private readonly byPage = new Map<PageKind, Candidate[]>();
	private readonly reaches = new Map<string, Predicate>();
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
		this.remembers = Object.values(content.pieces).some(listsRecent);
	}

	/**
	 * Resolves a page: what hangs on each of its hooks, in order, and its tabs merged with the theme's own. On the
	 * page of a hidden product nothing hangs.
	 */
	resolve(request: PageRequest): PageDocument {
		const { facts } = request;
		const shown = new Map<string, RenderedPiece | null>();
		const hooks: Record<string, HookEntry[]> = {};
		const tabs: (TabEntry & Ordered)[] = [];
		let next: number | null = null;
		const candidates = request.live.product?.visible === false ? [] : (this.byPage.get(facts.page.kind) ?? []);
		for (const candidate of candidates) {
			const { slug, placement } = candidate;
			let rendered = shown.get(slug);
			if (rendered === undefined) {
				const decided = this.decide(slug, candidate.piece, request);
				rendered = decided.rendered;
				shown.set(slug, rendered);
				if (decided.next !== null) next = Math.min(next ?? Infinity, decided.next);
			}
			if (!rendered) continue;
			if (placement.hook === 'tabs') tabs.push(...tabEntries(candidate, rendered));
			else if (rendered.html !== '') (hooks[placement.hook] ??= []).push(hookEntry(candidate, rendered));
		}
		return {
			release: this.number,
			page: facts.page,
			validUntil: next === null ? null : new Date(next).toISOString(),
			hooks,
			tabs: tabs.length === 0 && !this.houseTabsDiffer(facts.page.kind) ? [] : this.strip(tabs),
			style: styleProperties(this.content.style),
			locale: request.live.locale,
			remembers: this.remembers
		};
	}

	private decide(
		slug: string,
		piece: Piece,
		request: PageRequest
	): { rendered: RenderedPiece | null; next: number | null } {
		if (this.isOff(slug) || !this.reaches.get(slug)?.(request.facts)) return { rendered: null, next: null };
		const { on, next } = isOnFor(piece, { visitor: request.visitor, now: request.now, zone: this.zone });
		if (!on) return { rendered: null, next };
		const rendered = renderPiece(slug, piece, request.live);
		return { rendered, next: rendered.until === null ? next : Math.min(rendered.until, next ?? Infinity) };
	}

	/** How an attribute is read by shoppers: its label and unit as they were published. */
	attribute(definition: AttributeDefinition | undefined): AttributeDefinition | undefined {
		const published = definition && this.content.attributes[definition.code];
		return published ? { ...definition, ...published } : definition;
	}

	/** Whether the theme's own tabs are to be touched even where no piece joins them. */
	private houseTabsDiffer(kind: PageKind): boolean {
		return kind === 'product' && this.content.houseTabs.length > 0;
	}

	private strip(pieces: (TabEntry & Ordered)[]): TabEntry[] {
		const house = this.content.houseTabs.map(({ slug, name, hidden, priority }) => ({
			entry: { source: 'house' as const, slug, heading: name, icon: null, priority, hidden },
			priority,
			since: null,
			id: slug
		}));
		const own = pieces.map(({ since, id, ...entry }) => ({ entry, priority: entry.priority, since, id }));
		return [...house, ...own].sort(byOrder).map(({ entry }) => entry);
	}
}

/** Whether a piece lists the products that a visitor looked at. */
function listsRecent(piece: Piece): boolean {
	return bodiesOf(piece).some(({ body }) =>
		[...partsOf(body)].some(({ part }) => part.type === 'productList' && part.attrs.source === 'recent')
	);
}

function hookEntry({ slug, piece, placement }: Candidate, { html }: RenderedPiece): HookEntry {
	const { id, priority, devices, width } = placement;
	return { piece: slug, placement: id, kind: piece.kind, priority, devices, width, html };
}

function tabEntries(
	{ slug, placement, priority, since, id }: Candidate,
	{ panels }: RenderedPiece
): (TabEntry & Ordered)[] {
	return panels.map((panel) => ({
		source: 'piece',
		piece: slug,
		placement: placement.id,
		...panel,
		priority,
		hidden: false,
		devices: placement.devices,
		since,
		id
	}));
}
