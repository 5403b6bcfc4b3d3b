import { canonicalJson, effectiveTarget, type Piece } from '@anbau/core/pieces';
import { Bitset, reach, type CatalogIndex } from '@anbau/core/rules';
import { exceptionsByPiece, type ExceptionsOf } from './decide.js';
import { exceptionName, isOfTabs, type Exception } from './exception.js';
import type { ReleaseContent } from './release.js';

/** How one piece's change touches product pages. */
export interface PieceImpact {
	piece: string;
	name: string;
	/** Product pages that begin to show it, stop, show it elsewhere, or show it in other words. */
	added: number;
	removed: number;
	moved: number;
	reworded: number;
}

/** What changes between two states, on product pages. Pages of other kinds are counted as one per placement kind. */
export interface Impact {
	/** Product pages that change in any way. */
	pages: number;
	pieces: PieceImpact[];
	/** Whether the order, names or hiding of the theme's own tabs change, which touches every product page. */
	houseTabs: boolean;
	/** Whether hooks, their bindings, the strip or the theme's parts change, which touches every product page. */
	theme: boolean;
	/** Exceptions that are new, other or dropped. */
	exceptions: number;
	/** Whether the store's style changes, which touches every page that shows a piece. */
	style: boolean;
	/** Codes of attributes whose label or unit changes for shoppers. */
	attributes: string[];
}

/** The product pages that show a piece, its exceptions counted: its reach. `now` in milliseconds. */
export function reachOfPiece(piece: Piece, exceptions: ExceptionsOf, index: CatalogIndex, now: number): Bitset {
	const set = reach(effectiveTarget(piece), index, now);
	for (const [product, mode] of exceptions) {
		const id = index.id(product);
		if (id === undefined) continue;
		if (mode === 'show') set.add(id);
		else set.delete(id);
	}
	return set;
}

/**
 * What changes on product pages from one state to another, by set arithmetic over the reaches. Pieces that are off
 * in both are left out, as are those that hang on no product page. `now` in milliseconds.
 */
export function impact(
	before: ReleaseContent,
	after: ReleaseContent,
	index: CatalogIndex,
	now: number,
	isOff: (slug: string) => boolean = () => false
): Impact {
	const touched = new Bitset(index.size);
	const pieces: PieceImpact[] = [];
	const attributes = changedAttributes(before, after);
	const style = canonicalJson(before.style) !== canonicalJson(after.style);
	const exceptionsBefore = exceptionsByPiece(before.exceptions);
	const exceptionsAfter = exceptionsByPiece(after.exceptions);
	for (const slug of new Set([...Object.keys(before.pieces), ...Object.keys(after.pieces)])) {
		const old = before.pieces[slug];
		const young = after.pieces[slug];
		const from = pagesOf(old, exceptionsBefore(slug), index, now);
		const to = pagesOf(young, exceptionsAfter(slug), index, now);
		if (style && !isOff(slug)) touched.or(to);
		const renamed = young !== undefined && old !== undefined && attributes.some((code) => names(young, code));
		const change = pieceChange(slug, old, young, from, to, renamed);
		if (!change) continue;
		pieces.push(change.impact);
		if (!isOff(slug)) touched.or(change.touched);
	}
	const exceptions = changedExceptions(before, after);
	for (const { product } of exceptions) {
		const id = index.id(product);
		if (id !== undefined) touched.add(id);
	}
	const houseTabs = canonicalJson(before.houseTabs) !== canonicalJson(after.houseTabs);
	const theme = themeOf(before) !== themeOf(after);
	const pages = houseTabs || theme ? index.size : touched.count();
	return { pages, pieces, houseTabs, theme, exceptions: exceptions.length, style, attributes };
}

function themeOf({ hooks, houseParts, strip }: ReleaseContent): string {
	return canonicalJson([hooks, houseParts, strip]);
}

/** The exceptions that differ between two states; those of pieces that go with their piece are left out. */
function changedExceptions(before: ReleaseContent, after: ReleaseContent): Exception[] {
	const named = (content: ReleaseContent) =>
		new Map(
			content.exceptions
				.filter((one) => isOfTabs(one) || one.piece in content.pieces)
				.map((one) => [exceptionName(one), one] as const)
		);
	const [old, young] = [named(before), named(after)];
	return [...new Map([...old, ...young])].flatMap(([name, one]) =>
		canonicalJson(old.get(name) ?? null) === canonicalJson(young.get(name) ?? null) ? [] : [one]
	);
}

/** The attributes that shoppers read under another label or unit. */
function changedAttributes(before: ReleaseContent, after: ReleaseContent): string[] {
	const codes = new Set([...Object.keys(before.attributes), ...Object.keys(after.attributes)]);
	const differs = (code: string) =>
		canonicalJson(before.attributes[code] ?? null) !== canonicalJson(after.attributes[code] ?? null);
	return [...codes].filter(differs).sort();
}

/** Whether a piece says an attribute's value. */
function names(piece: Piece, code: string): boolean {
	const { name: _name, note: _note, target: _target, placements: _placements, ...rest } = piece;
	const said = JSON.stringify(rest);
	return said.includes(`attribute.${code}`) || said.includes(`"${code}"`);
}

/** How one piece changes, and the pages it touches; null when it stays as it is. */
function pieceChange(
	slug: string,
	old: Piece | undefined,
	young: Piece | undefined,
	from: Bitset,
	to: Bitset,
	renamed: boolean
): { impact: PieceImpact; touched: Bitset } | null {
	const both = from.clone().and(to);
	const added = to.clone().andNot(from);
	const removed = from.clone().andNot(to);
	const touched = added.clone().or(removed);
	const stays = old && young ? { old, young } : null;
	const moved = stays !== null && placing(stays.old) !== placing(stays.young);
	const reworded = stays !== null && (renamed || wording(stays.old) !== wording(stays.young));
	if (stays && !renamed && touched.count() === 0 && canonicalJson(stays.old) === canonicalJson(stays.young))
		return null;
	if (moved || reworded) touched.or(both);
	const same = both.count();
	const counts = {
		added: added.count(),
		removed: removed.count(),
		moved: moved ? same : 0,
		reworded: reworded ? same : 0
	};
	return { impact: { piece: slug, name: (young ?? old)?.name ?? slug, ...counts }, touched };
}

function pagesOf(piece: Piece | undefined, exceptions: ExceptionsOf, index: CatalogIndex, now: number): Bitset {
	const hangs = piece?.placements.some((placement) => placement.page === 'product');
	return piece && hangs ? reachOfPiece(piece, exceptions, index, now) : new Bitset(index.size);
}

function placing(piece: Piece): string {
	return canonicalJson(piece.placements);
}

/** What a visitor reads or sees of a piece, and who and when. */
function wording(piece: Piece): string {
	const { name: _name, note: _note, placements: _placements, target: _target, ...seen } = piece;
	return canonicalJson(seen);
}
