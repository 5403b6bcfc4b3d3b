/// <reference path="./webvtt-parser.d.ts" />
import webvtt from 'webvtt-parser';
import type { CaptionFacts } from './facts.js';

/** What is wrong with a file of captions, and in which line, counted from 1. */
export interface CaptionFault {
	line: number;
	message: string;
}

/** Whether a text says of itself that it is WebVTT (W3C WebVTT, section 4.1: the file's first line). */
export function isWebVtt(text: string): boolean {
	return /^\uFEFF?WEBVTT(?:[ \t\r\n]|$)/.test(text);
}

/**
 * Reads captions as WebVTT by the parser that the W3C keeps beside the standard, and says what it finds wrong. A cue
 * that is wrong is left out by browsers too; the others show.
 */
export function checkCaptions(text: string, size: number): CaptionFacts {
	const { cues, errors } = new webvtt.WebVTTParser().parse(text.replace(/^\uFEFF/, ''), 'captions');
	const faults = errors.map(({ line, message }) => ({ line, message: message.replace(/\.$/, '') }));
	return {
		kind: 'captions',
		type: 'text/vtt',
		size,
		cues: cues.length,
		duration: cues.reduce((end, cue) => Math.max(end, cue.endTime), 0),
		faults: faults.slice(0, 20)
	};
}
