import type { CaptionFault } from './captions.js';

/** What was read of an uploaded picture. */
export interface PictureFacts {
	kind: 'picture';
	/** Media type (IANA). */
	type: string;
	/** Bytes. */
	size: number;
	/** Pixels. */
	width: number;
	height: number;
	animated: boolean;
}

/** What was read of an uploaded film; null is what its container does not tell. */
export interface FilmFacts {
	kind: 'film';
	type: string;
	size: number;
	width: number | null;
	height: number | null;
	/** Seconds. */
	duration: number | null;
	/** Codecs by the names of the WebCodecs registry's families: `avc`, `hevc`, `vp9`, `av1`; `aac`, `opus`, `mp3`. */
	videoCodec: string | null;
	audioCodec: string | null;
	/** Pictures a second. */
	frameRate: number | null;
	/** Whether the index stands before the pictures, so that it plays before all of it has come. */
	indexFirst: boolean | null;
}

/** What was read of uploaded captions. */
export interface CaptionFacts {
	kind: 'captions';
	type: string;
	size: number;
	cues: number;
	/** Seconds until the last of them ends. */
	duration: number;
	faults: CaptionFault[];
}

export type MediaFacts = PictureFacts | FilmFacts | CaptionFacts;
