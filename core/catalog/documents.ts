import { z } from 'zod';
import type { Cell } from './columns.js';
import { isIsoDate } from './facts.js';
import type { DocumentEntry } from './product.js';

/** An address that begins with a scheme for pages, with `/`, or with `file:` and the SHA-256 of an uploaded file. */
const ADDRESS = /^(https?:\/\/[^\s/?#|;]+[^\s|;]*|\/[^/\s|;][^\s|;]*|file:[0-9a-f]{64})$/i;

const entrySchema = z.strictObject({
	label: z
		.string()
		.trim()
		.min(1, 'has a document without a label')
		.max(200)
		.regex(/^[^|;]*$/, 'has a label with | or ;'),
	address: z.string().max(2000).regex(ADDRESS, 'has a document whose address is none'),
	/** The media type and the bytes of an uploaded file. */
	type: z.string().max(100).optional(),
	size: z.number().int().min(0).optional(),
	until: z.string().refine(isIsoDate, 'has a last valid day that does not exist; it is written 2027-03-31').optional()
});

/** What is known of an uploaded file is left to the server, which has the file. */
const MAX_DOCUMENTS = 50;

/**
 * Reads several documents: objects, or texts `label; address; last valid day`, of which the day may be left out.
 * Null when there is none.
 */
export function readDocuments(parts: readonly unknown[]): Cell<DocumentEntry[] | null> {
	const documents: DocumentEntry[] = [];
	for (const part of parts) {
		if (typeof part === 'string' && part.trim() === '') continue;
		const reading = entrySchema.safeParse(typeof part === 'string' ? splitText(part) : part);
		if (!reading.success)
			return { ok: false, reason: `${reading.error.issues[0]?.message ?? 'is not a document'}${shown(part)}` };
		documents.push(withoutUndefined(reading.data));
	}
	if (documents.length > MAX_DOCUMENTS)
		return { ok: false, reason: `has ${documents.length} documents, at most ${MAX_DOCUMENTS} are allowed` };
	return { ok: true, value: documents.length > 0 ? documents : null };
}

function splitText(text: string): Record<string, string> {
	const [label = '', address = '', until = '', ...rest] = text.split(';').map((part) => part.trim());
	return { label, address, ...(until === '' ? {} : { until }), ...(rest.length > 0 ? { rest: rest.join(';') } : {}) };
}

function shown(part: unknown): string {
	return typeof part === 'string' ? `: “${part.trim().slice(0, 60)}”; write label; address; last valid day` : '';
}

function withoutUndefined(entry: z.infer<typeof entrySchema>): DocumentEntry {
	return JSON.parse(JSON.stringify(entry)) as DocumentEntry;
}

/** Documents as the text of a cell. */
export function documentsText(documents: readonly DocumentEntry[]): string {
	return documents
		.map(({ label, address, until }) => [label, address, ...(until ? [until] : [])].join('; '))
		.join(' | ');
}

/** The SHA-256 of the uploaded file that a document leads to; null when it leads elsewhere. */
export function uploadedFile({ address }: Pick<DocumentEntry, 'address'>): string | null {
	return address.startsWith('file:') ? address.slice('file:'.length) : null;
}

/** Whether a document may still be had on a day (`2027-03-31`); its last valid day is one of them. */
export function isValidOn({ until }: Pick<DocumentEntry, 'until'>, day: string): boolean {
	return until === undefined || day <= until;
}
