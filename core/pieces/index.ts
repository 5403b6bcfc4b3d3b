export { bodySchema, emptyBody, type BodyPart, type Body, type Inline } from './body.js';
export { bodyFromMarkdown } from './fromMarkdown.js';
export { bodyFromHtml } from './fromHtml.js';
export { hrefFault, srcFault } from './address.js';
export {
	liveValue,
	liveValueLabel,
	PRODUCT_VALUES,
	restsOfTag,
	type LiveContext,
	type LiveValueInfo
} from './liveValues.js';
export { parseText, quoteText, textFault } from './textForm.js';
export { renderBody, type Gone } from './render.js';
export { renderPiece, type RenderedPanel, type RenderedPiece } from './pieceHtml.js';
export { ICON_NAMES, iconShapes, iconSvg, type IconName } from './icons.js';
export { HOOKS, hookById, hooksOf, placementFault, type Hook } from './hooks.js';
export {
	DEVICES,
	effectiveTarget,
	newPiece,
	PIECE_KINDS,
	pieceSchema,
	slugSchema,
	TONES,
	WIDTHS,
	type Audience,
	type Device,
	type MessagePiece,
	type Panel,
	type Piece,
	type PieceKind,
	type Placement,
	type TabPiece,
	type Tone
} from './piece.js';
export { windowsAt, type Window, type WindowState } from './window.js';
export { audienceFault, GUEST, type Visitor } from './audience.js';
export {
	canonicalJson,
	pieceState,
	publication,
	samePiece,
	type PieceState,
	type Publication,
	type Running
} from './state.js';
