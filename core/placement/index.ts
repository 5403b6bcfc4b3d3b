export {
	EMPTY_RELEASE,
	placementsOf,
	upgradedRelease,
	type HungPlacement,
	type PublicAttribute,
	type ReleaseContent
} from './release.js';
export {
	exceptionName,
	exceptionSchemaFor,
	exceptionWords,
	isOfTabs,
	withExceptions,
	type Exception,
	type PieceException,
	type TabException
} from './exception.js';
export {
	DEFAULT_STRIP,
	hookTitle,
	housePartSchema,
	houseTabSchema,
	ownHooks,
	POSITIONS,
	stripSchema,
	themeHookSchema,
	type Binding,
	type HousePart,
	type HouseTab,
	type Position,
	type Strip,
	type ThemeHook
} from './theme.js';
export { exceptionsByPiece, isOnFor, reachPredicate, type Circumstances, type ExceptionsOf } from './decide.js';
export { byOrder, dropAt, type Ordered } from './order.js';
export {
	edgeAttributes,
	hashOf,
	isHeadingName,
	onHooks,
	panelAttributes,
	placesInText,
	slotAttributes,
	type Attributes,
	type OnHook
} from './onPage.js';
export {
	emptyPage,
	type EdgeEntry,
	type HookBinding,
	type HookEntry,
	type PageDocument,
	type TabEntry,
	type TextEntry
} from './document.js';
export { CompiledRelease, type PageRequest } from './resolve.js';
export { entriesOn, explainPiece, type Explanation, type Reason, type ReasonKind } from './explain.js';
export { everythingOn, movesOf, shortestReason, shownOn, type Hung, type Move } from './plan.js';
export { impact, reachOfPiece, type Impact, type PieceImpact } from './impact.js';
