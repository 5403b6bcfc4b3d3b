import type { PageKind } from '@anbau/core/catalog';
import { effectiveTarget, type Device, type Piece, type PieceKind } from '@anbau/core/pieces';
import { entriesOn, isNegated, type Explanation, type Reason, type ReasonKind } from './explain.js';
import type { PageDocument } from './document.js';
import { byOrder, dropAt } from './order.js';
import { placementsOf, type HungPlacement, type ReleaseContent } from './release.js';

/** Something with a place in the order of a hook: a placement of a piece, or a tab of the theme's own. */
export interface Hung {
	/** Tells apart what hangs on one hook. */
	id: string;
	kind: PieceKind | 'house';
	name: string;
	priority: number;
	devices: readonly Device[];
	subject: { piece: string; placement: HungPlacement } | { houseTab: string; hidden: boolean };
}

const EVERY_DEVICE: readonly Device[] = ['phone', 'tablet', 'desktop'];

/** Everything that hangs on a hook of a kind of page, on whatever pages it shows, in order. */
export function everythingOn(
	{ pieces, houseTabs }: Pick<ReleaseContent, 'pieces' | 'houseTabs'>,
	page: PageKind,
	hook: string
): Hung[] {
	const list = Object.entries(pieces).flatMap(([slug, piece]) =>
		placementsOf(piece)
			.filter((placement) => placement.page === page && placement.hook === hook)
			.map((placement) => {
				const { priority, devices, since = '' } = placement;
				const { kind, name } = piece;
				const id = `${slug} ${placement.id}`;
				return { id, kind, name, priority, devices, since, subject: { piece: slug, placement } };
			})
	);
	const tabs = hook === 'tabs' && page === 'product' ? houseTabs : [];
	const house = tabs.map(({ slug, name, priority, hidden }) => {
		const subject = { houseTab: slug, hidden };
		return { id: `house ${slug}`, kind: 'house' as const, name, priority, devices: EVERY_DEVICE, since: null, subject };
	});
	return [...house, ...list].sort(byOrder).map(({ since: _, ...one }) => one);
}

/** Of what hangs on a hook, what a resolved page shows there, in the page's own order, once each. */
export function shownOn(document: PageDocument, hook: string, everything: readonly Hung[]): Hung[] {
	const found = entriesOn(document, hook).flatMap((entry) => {
		const one = everything.find(({ subject }) =>
			'piece' in subject
				? subject.piece === entry.piece && subject.placement.id === entry.placement
				: entry.piece === undefined && subject.houseTab === entry.slug
		);
		return one ? [{ ...one, priority: entry.priority }] : [];
	});
	return found.filter((one, i) => found.findIndex(({ id }) => id === one.id) === i);
}

/** A change of order to be saved. */
export type Move =
	{ piece: string; placement: string; priority: number; hook?: string } | { houseTab: string; priority: number };

/**
 * What changes when something is put on a hook before another one, or behind all with `before` null: `others` are all
 * that hang there beside it, in order. As few of them as possible get another number.
 */
export function movesOf(moved: Hung, hook: string, others: readonly Hung[], before: string | null): Move[] {
	const found = others.findIndex(({ id }) => id === before);
	const at = found < 0 ? others.length : found;
	const priorities = dropAt(
		others.map(({ priority }) => priority),
		at
	);
	const list = [...others.slice(0, at), moved, ...others.slice(at)];
	return list.flatMap((one, i): Move[] => {
		const priority = priorities[i] ?? one.priority;
		if (one !== moved && one.priority === priority) return [];
		const { subject } = one;
		if (!('piece' in subject)) return [{ houseTab: subject.houseTab, priority }];
		const { piece, placement } = subject;
		const elsewhere = one === moved && placement.hook !== hook ? { hook } : {};
		return [{ piece, placement: placement.id, priority, ...elsewhere }];
	});
}

/** Which kinds of reason say most, when only one can be said. */
const TELLING: readonly ReasonKind[] = [
	'off',
	'hidden',
	'exception',
	'target',
	'rule',
	'audience',
	'window',
	'hook',
	'placement',
	'empty'
];

/** The shortest true answer to why a piece is not on a page: what to change, or the first thing against it. */
export function shortestReason(piece: Piece, { reasons, flip }: Pick<Explanation, 'reasons' | 'flip'>): string {
	const against = reasons.filter(({ ok }) => !ok);
	for (const kind of TELLING) {
		const found = against.filter((reason) => reason.kind === kind);
		if (found.length === 0) continue;
		if (kind !== 'rule') return found[0]?.text ?? '';
		const decisive = found.filter(({ at }) => flip.includes(at));
		return (decisive.length > 0 ? decisive : found.slice(0, 1)).map((reason) => leafWords(piece, reason)).join('; ');
	}
	return '';
}

/** What a page has or lacks; what it should not have says so. */
function leafWords(piece: Piece, { at, text }: Reason): string {
	return isNegated(effectiveTarget(piece), at.slice('/target'.length)) ? `kept away by ${text}` : text;
}
