import { open, readFile, writeFile } from 'node:fs/promises';
import { fileTypeFromFile } from 'file-type';
import { ALL_FORMATS, FilePathSource, Input, type InputVideoTrack } from 'mediabunny';
import sharp from 'sharp';
import {
	checkCaptions,
	cleanSvgPicture,
	isWebVtt,
	looksLikeSvg,
	type FilmFacts,
	type MediaFacts,
	type PictureFacts
} from '@anbau/core/media';
import { unfit } from './bytes.js';
import { mp4Boxes } from './mp4Boxes.js';

/** The media types that are taken, by the ending under which they are served. */
export const MEDIA_TYPES: Record<string, string> = {
	png: 'image/png',
	jpg: 'image/jpeg',
	gif: 'image/gif',
	webp: 'image/webp',
	avif: 'image/avif',
	svg: 'image/svg+xml',
	mp4: 'video/mp4',
	mov: 'video/quicktime',
	webm: 'video/webm',
	vtt: 'text/vtt'
};

/** The most that is read of a file that is text. */
const MOST_TEXT = 2 * 1024 * 1024;

/** What a file is by its bytes, whatever its name says, with what can be read of it. A drawing is cleaned in place. */
export async function probe(path: string, name: string, size: number): Promise<{ ending: string; facts: MediaFacts }> {
	const found = (await fileTypeFromFile(path))?.mime;
	if (found === undefined || /xml|^text\//.test(found)) return probeText(path, name, size);
	// What some phones write is MP4 by another brand.
	const type = found === 'video/x-m4v' ? 'video/mp4' : found;
	const ending = Object.keys(MEDIA_TYPES).find((one) => MEDIA_TYPES[one] === type);
	if (!ending) throw notTaken(name, type);
	const facts = type.startsWith('image/')
		? await probePicture(path, name, type, size)
		: await probeFilm(path, name, type, size);
	return { ending, facts };
}

function notTaken(name: string, type: string) {
	const taken = Object.keys(MEDIA_TYPES).join(', ');
	return unfit(`“${name}” is ${type}; what is taken is ${taken}, by content, not by name.`);
}

/** Captions and drawings are texts, told by how they begin. */
async function probeText(path: string, name: string, size: number): Promise<{ ending: string; facts: MediaFacts }> {
	const text = size <= MOST_TEXT ? await readFile(path, 'utf8') : '';
	if (isWebVtt(text)) return { ending: 'vtt', facts: checkCaptions(text, size) };
	if (!looksLikeSvg(text)) throw notTaken(name, 'nothing that is known');
	let clean: string;
	try {
		clean = cleanSvgPicture(text);
	} catch (error) {
		throw unfit(`“${name}” ${error instanceof Error ? error.message : 'cannot be read'}.`);
	}
	await writeFile(path, clean);
	const facts = await probePicture(path, name, 'image/svg+xml', Buffer.byteLength(clean));
	return { ending: 'svg', facts };
}

async function probePicture(path: string, name: string, type: string, size: number): Promise<PictureFacts> {
	try {
		// The head alone is read; a picture of any size takes no memory.
		const { width, height, pages } = await sharp(path, { limitInputPixels: false }).metadata();
		return { kind: 'picture', type, size, width, height, animated: (pages ?? 1) > 1 };
	} catch {
		throw unfit(`“${name}” says that it is a picture, but cannot be read as one; it may be cut off.`);
	}
}

async function probeFilm(path: string, name: string, type: string, size: number): Promise<FilmFacts> {
	const boxes = type === 'video/webm' ? null : await boxesOf(path, name, size);
	const input = new Input({ formats: ALL_FORMATS, source: new FilePathSource(path) });
	try {
		const video = await input.getPrimaryVideoTrack();
		const audio = await input.getPrimaryAudioTrack();
		if (!video && !audio) throw new Error('there is no track');
		return {
			kind: 'film',
			type,
			size,
			width: video ? await video.getDisplayWidth() : null,
			height: video ? await video.getDisplayHeight() : null,
			duration: await input.getDurationFromMetadata(),
			videoCodec: video ? await video.getCodec() : null,
			audioCodec: audio ? await audio.getCodec() : null,
			frameRate: video ? await rateOf(video) : null,
			indexFirst: boxes && boxes.indexFirst
		};
	} catch {
		throw unfit(`“${name}” says that it is a film, but cannot be read as one; it may be cut off.`);
	} finally {
		input.dispose();
	}
}

/** Pictures a second over the first of them. */
async function rateOf(video: InputVideoTrack): Promise<number | null> {
	const { averagePacketRate } = await video.computePacketStats(120);
	return averagePacketRate > 0 ? Math.round(averagePacketRate * 1000) / 1000 : null;
}

async function boxesOf(path: string, name: string, size: number) {
	const file = await open(path);
	try {
		const boxes = await mp4Boxes(file, size);
		const mb = (bytes: number) => `${(bytes / 1024 / 1024).toFixed(1)} MB`;
		if (boxes.declared > size)
			throw unfit(`“${name}” is cut off: ${mb(size)} of ${mb(boxes.declared)} are there. Upload it again.`);
		return boxes;
	} finally {
		await file.close();
	}
}
