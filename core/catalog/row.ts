import type { Category } from './category.js';
import * as read from './columns.js';
import { attributeColumn, CATALOG_COLUMNS, LIST_COLUMNS, type CatalogColumn, type Cell } from './columns.js';
import type { AttributeValue, Product } from './product.js';

/** What one row says of a product. An absent property is kept as it is; null, '' or [] clears it. */
export interface ProductChange extends Partial<Omit<Product, 'key' | 'attributes' | 'freshness'>> {
	key: string;
	/** By code; null clears the value. */
	attributes?: Record<string, AttributeValue | null>;
}

/** Why a cell of a row cannot be taken. */
export interface CellFault {
	column: string;
	reason: string;
}

export type RowReading = { ok: true; change: ProductChange } | { ok: false; faults: CellFault[] };

/** A row's cells by column: texts from CSV, any JSON value from NDJSON. */
export type RawRow = Record<string, unknown>;

export interface RowContext {
	/** The currency of rows that name none. */
	currency: string;
	/** Called for every category path met, top down. */
	onCategories: (path: Category[]) => void;
}

const columns = new Set<string>(CATALOG_COLUMNS);

/** The faults of a header: unknown columns, and `key` missing. Empty when the rows can be read. */
export function headerFaults(header: string[]): CellFault[] {
	const faults: CellFault[] = [];
	const seen = new Set<string>();
	for (const column of header) {
		if (seen.has(column)) faults.push({ column, reason: 'stands twice in the header' });
		seen.add(column);
		if (!columns.has(column) && attributeColumn(column) === null)
			faults.push({ column, reason: unknownColumn(column) });
	}
	if (!seen.has('key')) faults.push({ column: 'key', reason: 'is missing; every row needs the key of its product' });
	return faults;
}

function unknownColumn(column: string): string {
	const same = CATALOG_COLUMNS.find(
		(known) => known.toLowerCase() === column.trim().toLowerCase().replace(/[ _-]/g, '')
	);
	if (same) return `is not a column; ${same} is meant`;
	if (column.startsWith('attribute.')) return 'has an attribute code that is not lower-case letters, digits and _';
	return `is not a column; the columns are ${CATALOG_COLUMNS.join(', ')} and attribute.<code>`;
}

/**
 * Reads one catalogue row. Every fault of the row is listed; a row with any fault changes nothing.
 * Prices are decimal strings, several values an array or a text separated by `|`, a category its path of titles.
 */
export function readRow(row: RawRow, context: RowContext): RowReading {
	const reader = new RowReader(row, context);
	for (const column in row) reader.readColumn(column, row[column]);
	if (!('key' in row)) reader.fault('key', 'is missing; every row needs the key of its product');
	if (reader.faults.length > 0) return { ok: false, faults: reader.faults };
	for (const path of reader.categoryPaths) context.onCategories(path);
	return { ok: true, change: reader.change };
}

class RowReader {
	readonly change: ProductChange = { key: '' };
	readonly faults: CellFault[] = [];
	categoryPaths: Category[][] = [];

	constructor(
		private readonly row: RawRow,
		private readonly context: RowContext
	) {}

	fault(column: string, reason: string): void {
		this.faults.push({ column, reason });
	}

	readColumn(column: string, raw: unknown): void {
		const code = attributeColumn(column);
		if (code !== null) return this.readAttribute(column, code, raw);
		if (!columns.has(column)) return this.fault(column, unknownColumn(column));
		if (LIST_COLUMNS.includes(column)) return this.readListColumn(column, raw);
		const text = scalarText(raw);
		if (text === null) return this.fault(column, 'takes one value, not a list or an object');
		this.readScalar(column as CatalogColumn, text);
	}

	private readListColumn(column: string, raw: unknown): void {
		const parts = listParts(raw);
		if (parts === null) return this.fault(column, 'takes texts, or texts separated by |');
		if (column === 'categories') {
			const paths = this.take(column, read.readCategories(parts));
			if (!paths) return;
			this.categoryPaths = paths;
			this.change.categories = [...new Set(paths.flatMap((path) => path.at(-1)?.key ?? []))];
		} else {
			const list = this.take(column, read.readList(parts));
			if (list) this.change[column === 'tags' ? 'tags' : 'images'] = list;
		}
	}

	private readScalar(column: CatalogColumn, raw: string): void {
		const { change } = this;
		if (column === 'description' || column === 'summary') {
			change[column] = this.take(column, read.readText(raw, 200_000)) ?? '';
			return;
		}
		const text = raw.trim();
		const empty = text === '';
		switch (column) {
			case 'key':
				change.key = this.take(column, read.readKey(text)) ?? '';
				break;
			case 'title':
				if (empty) this.fault(column, 'is empty; a product needs a title');
				else change.title = this.take(column, read.readText(text, 500)) ?? '';
				break;
			case 'sku':
			case 'brand':
				change[column] = empty ? null : this.take(column, read.readText(text, 200));
				break;
			case 'price':
			case 'listPrice':
				change[column] = empty ? null : this.take(column, read.readMoney(text, this.currency()));
				break;
			case 'currency':
				change.currency = empty ? this.context.currency : (this.take(column, read.readCurrency(text)) ?? '');
				break;
			case 'stock':
			case 'sold30':
				change[column] = empty ? null : this.take(column, read.readWhole(text));
				break;
			case 'availability':
				change.availability = empty ? null : this.take(column, read.readAvailability(text));
				break;
			case 'visible':
				change.visible = empty ? true : (this.take(column, read.readFlag(text)) ?? true);
				break;
			case 'created':
				change.created = empty ? null : this.take(column, read.readInstant(text));
				break;
			case 'url':
				change.url = empty ? null : this.take(column, read.readUrl(text));
		}
	}

	private currency(): string {
		const named = typeof this.row.currency === 'string' ? this.row.currency.trim().toUpperCase() : '';
		return /^[A-Z]{3}$/.test(named) ? named : this.context.currency;
	}

	private readAttribute(column: string, code: string, raw: unknown): void {
		const value = attributeValue(raw);
		if (value === undefined) return this.fault(column, 'takes a text, a number, yes or no, or a list of texts');
		this.change.attributes = { ...this.change.attributes, [code]: value };
	}

	private take<T>(column: string, cell: Cell<T>): T | null {
		if (cell.ok) return cell.value;
		this.fault(column, cell.reason);
		return null;
	}
}

function scalarText(raw: unknown): string | null {
	if (typeof raw === 'string') return raw;
	if (raw === null || raw === undefined) return '';
	return typeof raw === 'number' || typeof raw === 'boolean' ? String(raw) : null;
}

function listParts(raw: unknown): string[] | null {
	if (Array.isArray(raw)) return raw.every((part): part is string => typeof part === 'string') ? raw : null;
	const text = scalarText(raw);
	return text === null ? null : text.split('|');
}

function attributeValue(raw: unknown): AttributeValue | null | undefined {
	if (raw === null || raw === undefined) return null;
	if (typeof raw === 'number' || typeof raw === 'boolean') return raw;
	const parts = listParts(raw)
		?.map((part) => part.trim())
		.filter((part) => part !== '');
	if (!parts || parts.some((part) => part.includes('\u0000'))) return undefined;
	if (Array.isArray(raw)) return parts.length > 0 ? parts : null;
	return parts.length > 1 ? parts : (parts[0] ?? null);
}
