export { bodySchema, emptyBody, partsOf, type BodyPart, type Body } from './body.js';
export type { Inline } from './inline.js';
export { bodyInput } from './bodyInput.js';
export { bodyFromMarkdown } from './fromMarkdown.js';
export { bodyFromHtml } from './fromHtml.js';
export { bodyToMarkdown } from './toMarkdown.js';
export { hrefFault, srcFault } from './address.js';
export { isLiveValue, liveValueLabel, PLAIN_VALUES, type LiveValueInfo } from './liveNames.js';
export { liveContext, type LiveContext } from './liveContext.js';
export { liveValues, type LiveValue } from './liveValues.js';
export { formatLeft, formatValue, pluralForm } from './liveFormat.js';
export { FORMATS, type Format, type PluralForms } from './formats.js';
export { dayAt, deliverySchema, earliestDelivery, leadOf, type Delivery, type DeliverySettings } from './delivery.js';
export { restsOfTag } from './tagRest.js';
export { parseText, quoteText, textFault } from './textForm.js';
export { sanitizeHtml, sanitizeSvg } from './sanitize.js';
export { closableHtml } from './opening.js';
export { snippetId } from './frames.js';
export { styleProperties, styleSchema, type Style } from './style.js';
export { contrast, contrastFaults, LEAST_CONTRAST } from './contrast.js';
export { QuietReport, type QuietAnswer } from './quietReport.js';
export { renderBody, type Gone } from './render.js';
export { renderPiece, type RenderedPanel, type RenderedPiece } from './pieceHtml.js';
export { ICON_NAMES, iconSchema, iconShapes, iconSvg, ownIcon, type IconName } from './icons.js';
export { formOf, HOOKS, hookById, hooksOf, kindFault, placementFault, type Hook, type HookForm } from './hooks.js';
export { hookIdSchema, slugSchema } from './slug.js';
export {
	DEVICES,
	edgePlace,
	movedTo,
	TEXT_SIDES,
	TEXT_UNITS,
	textPlace,
	WIDTHS,
	type Device,
	type EdgePlace,
	type Placement,
	type TextPlace
} from './placement.js';
export {
	audienceSchema,
	bodiesOf,
	effectiveTarget,
	MESSAGE_FORMS,
	newPiece,
	PIECE_KINDS,
	pieceSchema,
	TONES,
	upgradedPiece,
	type AccordionPiece,
	type Audience,
	type MessageForm,
	type MessagePiece,
	type OpeningPanel,
	type Panel,
	type Piece,
	hasPanels,
	type MediaPiece,
	type PanelPiece,
	type ReviewsPiece,
	textsOf,
	type PieceKind,
	type TabPiece,
	type Tone
} from './piece.js';
export {
	MEDIA_TYPES,
	mediaFault,
	NEW_MEDIA,
	served,
	typeOfAddress,
	uploadOf,
	type MediaSettings,
	type MediaType
} from './media.js';
export { PICTURE_WIDTHS } from './renderMedia.js';
export {
	MOST_PER_PAGE,
	NEW_REVIEWS,
	pickedReviews,
	renderReviewPage,
	REVIEW_FORMS,
	type ReviewForm,
	type ReviewPage,
	type ReviewSettings
} from './reviews.js';
export { STARS } from './stars.js';
export { wallInstant, windowsAt, windowSchema, windowsSchema, type Window, type WindowState } from './window.js';
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
