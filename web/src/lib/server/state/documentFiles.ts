import { isDocuments, uploadedFile, type AttributeValue, type Product } from '@anbau/core/catalog';
import type { StoredFile } from '../db/files.js';

interface Holders {
	products: Map<string, Product>;
	categoryValues: Map<string, Record<string, AttributeValue>>;
	files: StoredFile[];
}

/** The uploaded files of a catalogue's documents: what is known of each, and how long it may be had. */
export class DocumentFiles {
	private readonly known: ReadonlyMap<string, StoredFile>;
	private days: Map<string, string | null> | null = null;

	constructor(private readonly holders: Holders) {
		this.known = new Map(holders.files.map((file) => [file.sha256, file]));
	}

	/** Writes type and size of its uploaded files into the documents among some values. */
	describe(values: Record<string, AttributeValue>): void {
		if (this.known.size === 0) return;
		for (const value of Object.values(values)) {
			if (!isDocuments(value)) continue;
			for (const document of value) {
				const file = this.known.get(uploadedFile(document) ?? '');
				if (file) Object.assign(document, { type: file.type, size: file.size });
			}
		}
	}

	has(sha256: string): boolean {
		return this.known.has(sha256);
	}

	/** An uploaded file. */
	file(sha256: string): StoredFile | undefined {
		return this.known.get(sha256);
	}

	/**
	 * The last day on which any document leads to a file; null when one does for ever, undefined when none does.
	 */
	lastDay(sha256: string): string | null | undefined {
		if (!this.days) {
			this.days = new Map();
			for (const { attributes } of this.holders.products.values()) this.note(attributes);
			for (const attributes of this.holders.categoryValues.values()) this.note(attributes);
		}
		return this.days.get(sha256);
	}

	private note(values: Record<string, AttributeValue>): void {
		for (const value of Object.values(values)) {
			if (!isDocuments(value)) continue;
			for (const document of value) {
				const file = uploadedFile(document);
				if (file === null) continue;
				const before = this.days?.get(file);
				const day = document.until ?? null;
				const later = before === undefined ? day : before === null || day === null ? null : before > day ? before : day;
				this.days?.set(file, later);
			}
		}
	}
}
