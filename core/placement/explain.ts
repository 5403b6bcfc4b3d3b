import type { Facts, Product } from '@anbau/core/catalog';
import {
	audienceFault,
	effectiveTarget,
	formOf,
	renderPiece,
	windowsAt,
	type LiveContext,
	type Piece
} from '@anbau/core/pieces';
import { describe, explainRule, isLeaf, type FoundNearMiss, type Names, type Rule } from '@anbau/core/rules';
import type { Circumstances } from './decide.js';
import type { PageDocument } from './document.js';
import { exceptionWords, isOfTabs, withExceptions, type Exception, type PieceException } from './exception.js';
import { placementsOf } from './release.js';
import { hookTitle, type ThemeHook } from './theme.js';

export type ReasonKind =
	'rule' | 'target' | 'exception' | 'off' | 'audience' | 'window' | 'empty' | 'hook' | 'placement' | 'hidden';

/** One reason for or against showing a piece: `at` is a JSON pointer into the piece's document. */
export interface Reason {
	kind: ReasonKind;
	ok: boolean;
	at: string;
	text: string;
}

/** Why a piece shows on a page or does not. */
export interface Explanation {
	shown: boolean;
	/** Per placement: its hook, its place there counted from 1, and whether it shows. */
	placements: { id: string; hook: string; position: number | null; shown: boolean }[];
	reasons: Reason[];
	/** The smallest set of the rule's leaves to change to turn the target round, as pointers into the piece. */
	flip: string[];
	nearMisses: FoundNearMiss[];
}

/** What an explanation is made from. */
export interface ExplainInput {
	slug: string;
	piece: Piece;
	on: boolean;
	product: Product | null;
	facts: Facts;
	live: LiveContext;
	circumstances: Circumstances;
	/** The store's exceptions, or those of this piece. */
	exceptions: readonly Exception[];
	names: Names;
	/** The store's hooks, for the words of the owner's own. */
	hooks?: readonly ThemeHook[];
	/** The page as resolved with this piece in it, for the place in the order. */
	document: PageDocument;
	/** Hooks known to be missing from this page. */
	missingHooks?: readonly string[];
}

/** Explains a piece on a page: every reason in one list, whether it speaks for showing or against. */
export function explainPiece(input: ExplainInput): Explanation {
	const { piece, facts, document, missingHooks = [] } = input;
	const target = effectiveTarget(piece);
	const spelling = { tags: input.product?.tags ?? [], brand: input.product?.brand ?? null };
	const rule = explainRule(target, facts, spelling, input.names, input.circumstances.now);
	const own = exceptionsHere(input);
	const leaves = rule.leaves.map(({ at, ok, text }): Reason => {
		return { kind: 'rule', ok: isNegated(target, at) ? !ok : ok, at: `/target${at}`, text };
	});
	const reasons = [
		...generalReasons(input, own),
		...own.map(exceptionReason),
		...leaves,
		...wholeTargetReasons(piece, target, rule.holds, leaves, input.names)
	];
	const placements = placementsOf(piece)
		.filter((placement) => placement.page === facts.page.kind)
		.map(({ id, hook }) => {
			const position = positionOf(document, input.slug, id, hook);
			return { id, hook, position, shown: position !== null && !missingHooks.includes(hook) };
		});
	reasons.push(...hookReasons(input, missingHooks));
	return {
		shown: placements.some((placement) => placement.shown),
		placements,
		reasons,
		flip: (rule.flip ?? []).map((at) => `/target${at}`),
		nearMisses: rule.nearMisses.map((one) => ({ ...one, at: `/target${one.at}` }))
	};
}

function generalReasons(
	{ slug, piece, on, product, live, circumstances }: ExplainInput,
	own: readonly PieceException[]
): Reason[] {
	const reasons: Reason[] = [];
	const against = (kind: ReasonKind, at: string, text: string) => reasons.push({ kind, ok: false, at, text });
	if (!on) against('off', '/on', 'switched off');
	if (product?.visible === false) against('hidden', '', 'the product is hidden in the shop');
	const audience = audienceFault(piece.audience, circumstances.visitor);
	if (audience !== null) against('audience', '/audience', audience);
	const { state } = windowsAt(piece.windows, circumstances.now, circumstances.zone);
	if (state !== 'on')
		against('window', '/windows', state === 'waiting' ? 'its time has not come yet' : 'its time is over');
	const rendered = renderPiece(slug, withExceptions(piece, own), live);
	if (rendered.html === '') {
		const missing = [...new Set(rendered.gone.flatMap((one) => one.values))];
		against(
			'empty',
			'',
			missing.length > 0 ? `nothing is left of it without ${missing.join(', ')}` : 'it says nothing yet'
		);
	}
	return reasons;
}

/** What the product looked at has of its own from this piece. */
function exceptionsHere({ slug, facts, exceptions }: ExplainInput): PieceException[] {
	if (facts.page.kind !== 'product') return [];
	return exceptions.flatMap((one) =>
		!isOfTabs(one) && one.piece === slug && one.product === facts.page.key ? [one] : []
	);
}

function exceptionReason(exception: PieceException): Reason {
	return { kind: 'exception', ok: exception.mode !== 'hide', at: '', text: exceptionWords(exception) };
}

/** A reason about the target as a whole, where its leaves do not tell: none was chosen, or groups are empty. */
function wholeTargetReasons(
	piece: Piece,
	target: Rule,
	holds: boolean,
	leaves: readonly Reason[],
	names: Names
): Reason[] {
	if (piece.target === null) {
		return [{ kind: 'target', ok: false, at: '/target', text: 'no products have been chosen yet' }];
	}
	const leavesTell = leaves.length > 0 && (holds || leaves.some((leaf) => !leaf.ok));
	return leavesTell ? [] : [{ kind: 'target', ok: holds, at: '/target', text: `reaches ${describe(target, names)}` }];
}

function hookReasons({ piece, facts, hooks = [] }: ExplainInput, missingHooks: readonly string[]): Reason[] {
	const here = piece.placements.filter((placement) => placement.page === facts.page.kind);
	if (here.length === 0)
		return [{ kind: 'placement', ok: false, at: '/placements', text: `hangs on no hook of a ${facts.page.kind} page` }];
	return piece.placements.flatMap((placement, i): Reason[] => {
		if (!here.includes(placement) || !missingHooks.includes(placement.hook)) return [];
		const title = hookTitle(placement.hook, hooks);
		return [
			{
				kind: 'hook',
				ok: false,
				at: `/placements/${i}/hook`,
				text: `this page has no place ${title} (${placement.hook})`
			}
		];
	});
}

function positionOf(document: PageDocument, slug: string, id: string, hook: string): number | null {
	const at = entriesOn(document, hook).findIndex((entry) => entry.piece === slug && entry.placement === id);
	return at < 0 ? null : at + 1;
}

/** What stands on a hook of a resolved page, in order; hidden tabs are left out. */
export function entriesOn(
	document: PageDocument,
	hook: string
): { piece?: string; placement?: string; slug?: string; heading?: string; priority: number }[] {
	switch (formOf(hook)) {
		case 'tabs':
			return document.tabs.filter((tab) => !tab.hidden);
		case 'gallery':
			return document.gallery;
		case 'text':
			return document.text;
		case 'edge':
			return document.edges.filter(({ edge }) => hook === `edge-${edge}`);
		case 'point':
			return document.hooks[hook] ?? [];
	}
}

/** Whether a leaf stands under an odd number of negations, so that its being false speaks for showing. */
/** Whether a leaf stands under an odd number of `not`, so that it speaks for showing where it does not hold. */
export function isNegated(rule: Rule, at: string): boolean {
	return isLeaf(rule) ? false : at.split('/').filter((step) => step === 'not').length % 2 === 1;
}
