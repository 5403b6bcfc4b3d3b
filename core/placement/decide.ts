import type { Facts } from '@anbau/core/catalog';
import { audienceFault, effectiveTarget, windowsAt, type Piece, type Visitor } from '@anbau/core/pieces';
import { compileRule, type Predicate } from '@anbau/core/rules';
import { isOfTabs, type Exception } from './exception.js';

/** Who looks, when: `now` in milliseconds since the epoch, windows in the store's IANA zone. */
export interface Circumstances {
	visitor: Visitor;
	now: number;
	zone: string;
}

/** Where a piece is shown or hidden by hand, by product key. */
export type ExceptionsOf = ReadonlyMap<string, 'hide' | 'show'>;

const NONE: ExceptionsOf = new Map();

/** Where each piece is shown or hidden by hand; the other exceptions change what is shown, not whether. */
export function exceptionsByPiece(exceptions: readonly Exception[]): (piece: string) => ExceptionsOf {
	const found = new Map<string, Map<string, 'hide' | 'show'>>();
	for (const exception of exceptions) {
		if (isOfTabs(exception) || (exception.mode !== 'hide' && exception.mode !== 'show')) continue;
		const { piece, product, mode } = exception;
		const own = found.get(piece) ?? new Map<string, 'hide' | 'show'>();
		found.set(piece, own.set(product, mode));
	}
	return (piece) => found.get(piece) ?? NONE;
}

/** Whether a piece is shown or hidden by hand on a page. */
export function exceptionOn(facts: Facts, exceptions: ExceptionsOf): 'hide' | 'show' | undefined {
	return facts.page.kind === 'product' ? exceptions.get(facts.page.key) : undefined;
}

/**
 * A piece's target with its exceptions as one predicate: *hide* and *show* override the target. Audience, window
 * and off switch are not in it. `now` in milliseconds since the epoch.
 */
export function reachPredicate(piece: Piece, exceptions: ExceptionsOf, now: number): Predicate {
	const holds = compileRule(effectiveTarget(piece), now);
	if (exceptions.size === 0) return holds;
	return (facts) => {
		const mode = exceptionOn(facts, exceptions);
		return mode === undefined ? holds(facts) : mode === 'show';
	};
}

/** Whether a piece is for this visitor at this time, and the next instant at which that changes. */
export function isOnFor(piece: Piece, { visitor, now, zone }: Circumstances): { on: boolean; next: number | null } {
	if (audienceFault(piece.audience, visitor) !== null) return { on: false, next: null };
	const { state, next } = windowsAt(piece.windows, now, zone);
	return { on: state === 'on', next };
}
