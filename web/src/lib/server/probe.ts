import { open } from 'node:fs/promises';
import { fileTypeFromFile } from 'file-type';
import { ALL_FORMATS, FilePathSource, Input } from 'mediabunny';
import sharp from 'sharp';
import type { FilmFacts, MediaFacts, PictureFacts } from '@anbau/core/media';
import { unfit } from './bytes.js';

/** The media types that are taken, by the ending under which they are served. */
export const MEDIA_TYPES: Record<string, string> = {
	png: 'image/png',
	jpg: 'image/jpeg',
	gif: 'image/gif',
	webp: 'image/webp',
	avif: 'image/avif',
	mp4: 'video/mp4',
	mov: 'video/quicktime',
	webm: 'video/webm'
};

/** What a file is by its bytes, whatever its name says, with what can be read of it. */
export async function probe(path: string, name: string, size: number): Promise<{ ending: string; facts: MediaFacts }> {
	const found = (await fileTypeFromFile(path))?.mime ?? 'nothing that is known';
	// What some phones write is MP4 by another brand.
	const type = found === 'video/x-m4v' ? 'video/mp4' : found;
	const ending = Object.keys(MEDIA_TYPES).find((one) => MEDIA_TYPES[one] === type);
	if (!ending)
		throw unfit(
			`“${name}” is ${found}; what is taken is ${Object.keys(MEDIA_TYPES).join(', ')}, by content, not by name.`
		);
	const facts = type.startsWith('image/')
		? await probePicture(path, name, type, size)
		: await probeFilm(path, name, type, size);
	return { ending, facts };
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
	const input = new Input({ formats: ALL_FORMATS, source: new FilePathSource(path) });
	try {
		const video = await input.getPrimaryVideoTrack();
		const audio = await input.getPrimaryAudioTrack();
		return {
			kind: 'film',
			type,
			size,
			width: video ? await video.getDisplayWidth() : null,
			height: video ? await video.getDisplayHeight() : null,
			duration: await input.getDurationFromMetadata(),
			videoCodec: video ? await video.getCodec() : null,
			audioCodec: audio ? await audio.getCodec() : null,
			indexFirst: type === 'video/webm' ? null : await isIndexFirst(path)
		};
	} catch {
		throw unfit(`“${name}” says that it is a film, but cannot be read as one; it may be cut off.`);
	} finally {
		input.dispose();
	}
}

/** Whether the box `moov` stands before `mdat` (ISO/IEC 14496-12, 4.2: boxes of a size and a type). */
async function isIndexFirst(path: string): Promise<boolean | null> {
	const file = await open(path);
	try {
		const head = Buffer.alloc(16);
		for (let at = 0; ;) {
			const { bytesRead } = await file.read(head, 0, 16, at);
			if (bytesRead < 8) return null;
			const type = head.toString('latin1', 4, 8);
			if (type === 'moov') return true;
			if (type === 'mdat') return false;
			const short = head.readUInt32BE(0);
			const size = short === 1 && bytesRead === 16 ? Number(head.readBigUInt64BE(8)) : short;
			if (size < 8) return null;
			at += size;
		}
	} finally {
		await file.close();
	}
}
