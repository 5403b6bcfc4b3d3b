import { mkdir, rename, rm, stat } from 'node:fs/promises';
import { randomUUID } from 'node:crypto';
import { dirname } from 'node:path';
import sharp from 'sharp';
import { PICTURE_WIDTHS } from '@anbau/core/pieces';
import { pathOf } from '../bytes.js';
import { MEDIA_TYPES } from '../probe.js';

/** An upload's bytes, or a lighter form of them, as the storefront gets them. */
export interface PublicFile {
	path: string;
	type: string;
	size: number;
}

const NAME = /^([0-9a-f]{64})(?:-(\d+))?\.([a-z0-9]+)$/;

/** The bytes of an upload; null where there are none. */
export async function publicMedia(file: string): Promise<PublicFile | null> {
	const [, sha256 = '', width, ending = ''] = NAME.exec(file) ?? [];
	const type = Object.hasOwn(MEDIA_TYPES, ending) ? MEDIA_TYPES[ending] : undefined;
	if (!type) return null;
	const original = pathOf('media', sha256);
	const path = width === undefined ? original : await lighter(original, Number(width), ending);
	const found = path === null ? null : await stat(path).catch(() => null);
	return found && path !== null ? { path, type, size: found.size } : null;
}

/** Forms that are being made, so that many who ask at once wait for one. */
const making = new Map<string, Promise<string | null>>();

/** A picture in one of the widths, made when it is first asked for; null where it cannot be. */
async function lighter(original: string, width: number, form: string): Promise<string | null> {
	if (!(PICTURE_WIDTHS as readonly number[]).includes(width) || (form !== 'webp' && form !== 'avif')) return null;
	const path = `${original}-${width}.${form}`;
	if (await stat(path).catch(() => null)) return path;
	const known = making.get(path) ?? make(original, path, width, form).finally(() => making.delete(path));
	making.set(path, known);
	return known;
}

async function make(original: string, path: string, width: number, form: 'webp' | 'avif'): Promise<string | null> {
	if (!(await stat(original).catch(() => null))) return null;
	const waiting = `${path}.${randomUUID()}.part`;
	try {
		const picture = sharp(original).rotate().resize({ width, withoutEnlargement: true });
		await mkdir(dirname(path), { recursive: true });
		await (form === 'webp' ? picture.webp({ quality: 78 }) : picture.avif({ quality: 52, effort: 3 })).toFile(waiting);
		await rename(waiting, path);
		return path;
	} catch (error) {
		// Too large to be unpacked, or no picture: whoever asked gets the original.
		console.warn('A lighter form of a picture could not be made.', error);
		return null;
	} finally {
		await rm(waiting, { force: true });
	}
}

/** The file name of the original that a lighter form is of; null for any other name. */
export async function originalOf(file: string): Promise<string | null> {
	const [, sha256, width] = NAME.exec(file) ?? [];
	if (sha256 === undefined || width === undefined) return null;
	const path = pathOf('media', sha256);
	if (!(await stat(path).catch(() => null))) return null;
	const { format } = await sharp(path, { limitInputPixels: false })
		.metadata()
		.catch(() => ({ format: undefined }));
	return format === undefined ? null : `${sha256}.${format === 'jpeg' ? 'jpg' : format}`;
}
