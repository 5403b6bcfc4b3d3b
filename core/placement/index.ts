export {
	EMPTY_RELEASE,
	placementsOf,
	upgradedRelease,
	type Exception,
	type HouseTab,
	type HungPlacement,
	type PublicAttribute,
	type ReleaseContent
} from './release.js';
export { exceptionsByPiece, isOnFor, reachPredicate, type Circumstances, type ExceptionsOf } from './decide.js';
export { byOrder } from './order.js';
export {
	CompiledRelease,
	emptyPage,
	type HookEntry,
	type PageDocument,
	type PageRequest,
	type TabEntry
} from './resolve.js';
export { explainPiece, type Explanation, type Reason } from './explain.js';
export { impact, reachOfPiece, type Impact, type PieceImpact } from './impact.js';
