import type { FileHandle } from 'node:fs/promises';

/** What the boxes of a file say (ISO/IEC 14496-12, section 4.2: each begins with its size and type). */
export interface Mp4Boxes {
	/** Whether `moov`, the index, stands before `mdat`; null where neither was found. */
	indexFirst: boolean | null;
	/** How long the file is by its boxes, in bytes; more than it has where it is cut off. */
	declared: number;
}

/** Reads the outermost boxes of an MP4 or QuickTime file, their heads only. */
export async function mp4Boxes(file: FileHandle, size: number): Promise<Mp4Boxes> {
	const head = Buffer.alloc(16);
	let indexFirst: boolean | null = null;
	let at = 0;
	while (at < size) {
		const { bytesRead } = await file.read(head, 0, 16, at);
		if (bytesRead < 8) break;
		const type = head.toString('latin1', 4, 8);
		if (type === 'moov') indexFirst ??= true;
		if (type === 'mdat') indexFirst ??= false;
		const short = head.readUInt32BE(0);
		// 1 means that the size follows in 64 bits, 0 that the box goes to the end of the file.
		const length = short === 1 && bytesRead === 16 ? Number(head.readBigUInt64BE(8)) : short;
		if (short === 0) return { indexFirst, declared: size };
		if (length < 8) break;
		at += length;
	}
	return { indexFirst, declared: Math.max(at, size) };
}
