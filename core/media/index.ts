export type { CaptionFacts, FilmFacts, MediaFacts, PictureFacts } from './facts.js';
export { factsText, judge, MOST_BYTES, type Finding, type Level } from './judge.js';
export {
	FRAME_PERMISSIONS,
	hostOf,
	readEmbedCode,
	type EmbedFrame,
	type EmbedReading,
	type FramePermission
} from './embedCode.js';
export {
	oembedProviderSchema,
	providerOf,
	readOembed,
	requestFor,
	type Described,
	type OembedProvider
} from './oembed.js';
export { checkCaptions, isWebVtt, type CaptionFault } from './captions.js';
export { shapeOf } from './shape.js';
export { cleanSvgPicture, looksLikeSvg } from './svgPicture.js';
