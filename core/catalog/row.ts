import type { AttributeDefinition } from './attribute.js';
import { readAttributeValue } from './attributeValue.js';
import type { Category } from './category.js';
import * as read from './columns.js';
import { attributeColumn, CATALOG_COLUMNS, type CatalogColumn, type Cell } from './columns.js';
import { memo } from './memo.js';
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
	/** The definition of an attribute; values of one that is not defined are taken as they are. */
	attribute?: (code: string) => AttributeDefinition | undefined;
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
	const reader = new RowReader(row.currency, context);
	for (const column in row) columnReader(column)(reader, row[column]);
	if (!('key' in row)) reader.fault('key', 'is missing; every row needs the key of its product');
	return reader.reading();
}

/** Reads the rows of a file whose header names the columns; a row has as many cells as the header. */
export function rowsReader(header: readonly string[], context: RowContext): (cells: readonly string[]) => RowReading {
	const readers = header.map(columnReader);
	const currencyAt = header.indexOf('currency');
	return (cells) => {
		const reader = new RowReader(cells[currencyAt], context);
		for (let i = 0; i < readers.length; i++) readers[i]?.(reader, cells[i]);
		return reader.reading();
	};
}

/** What is read of one row so far: its change and its faults. */
class RowReader {
	readonly change: ProductChange = { key: '' };
	readonly faults: CellFault[] = [];
	categoryPaths: Category[][] = [];

	constructor(
		private readonly namedCurrency: unknown,
		private readonly context: RowContext
	) {}

	fault(column: string, reason: string): void {
		this.faults.push({ column, reason });
	}

	/** A cell's value; null for a fault, which is noted. */
	take<T>(column: string, cell: Cell<T>): T | null {
		if (cell.ok) return cell.value;
		this.fault(column, cell.reason);
		return null;
	}

	/** The currency of the row's prices. */
	currency(): string {
		if (this.namedCurrency === this.context.currency) return this.context.currency;
		const named = typeof this.namedCurrency === 'string' ? this.namedCurrency.trim().toUpperCase() : '';
		return /^[A-Z]{3}$/.test(named) ? named : this.context.currency;
	}

	attribute(code: string): AttributeDefinition | undefined {
		return this.context.attribute?.(code);
	}

	/** The currency of rows that name none. */
	get usualCurrency(): string {
		return this.context.currency;
	}

	reading(): RowReading {
		if (this.faults.length > 0) return { ok: false, faults: this.faults };
		for (const path of this.categoryPaths) this.context.onCategories(path);
		return { ok: true, change: this.change };
	}
}

type ColumnReader = (reader: RowReader, raw: unknown) => void;

/** How a column is read, by its name. */
const columnReader = memo((column: string): ColumnReader => {
	const scalar = SCALARS.get(column);
	if (scalar) return (reader, raw) => readScalar(reader, column, scalar, raw);
	if (column === 'categories') return readCategoryColumn;
	if (column === 'tags' || column === 'images') return (reader, raw) => readListColumn(reader, column, raw);
	const code = attributeColumn(column);
	if (code !== null) return (reader, raw) => readAttribute(reader, column, code, raw);
	return (reader) => reader.fault(column, unknownColumn(column));
});

function readScalar(reader: RowReader, column: string, scalar: ScalarReader, raw: unknown): void {
	const text = typeof raw === 'string' ? raw : scalarText(raw);
	if (text === null) reader.fault(column, 'takes one value, not a list or an object');
	else scalar(reader, text);
}

const NO_LIST = 'takes texts, or texts separated by |';

function readListColumn(reader: RowReader, column: 'tags' | 'images', raw: unknown): void {
	const parts = listParts(raw);
	if (parts === null) return reader.fault(column, NO_LIST);
	const list = reader.take(column, read.readList(parts));
	if (list) reader.change[column] = list;
}

function readCategoryColumn(reader: RowReader, raw: unknown): void {
	const parts = listParts(raw);
	if (parts === null) return reader.fault('categories', NO_LIST);
	const paths = reader.take('categories', categoryCell(parts.join('|')));
	if (!paths) return;
	reader.categoryPaths = paths;
	reader.change.categories = [...new Set(paths.flatMap((path) => path.at(-1)?.key ?? []))];
}

/** The same few paths stand in row after row. A title has no `|` in CSV, and none in JSON then either. */
const categoryCell = memo((text: string) => read.readCategories(text.split('|')));

function readAttribute(reader: RowReader, column: string, code: string, raw: unknown): void {
	const definition = reader.attribute(code);
	if (definition?.of === 'category') return reader.fault(column, 'is an attribute of categories, not of products');
	const reading = definition && readAttributeValue(definition, raw);
	if (reading && !reading.ok) return reader.fault(column, reading.reason);
	const value = reading ? reading.value : attributeValue(raw);
	if (value === undefined) return reader.fault(column, 'takes a text, a number, yes or no, or a list of texts');
	reader.change.attributes = { ...reader.change.attributes, [code]: value };
}

type ScalarColumn = Exclude<CatalogColumn, 'categories' | 'tags' | 'images'>;
type ScalarReader = (reader: RowReader, text: string) => void;

/** A column whose empty cell clears the value. */
function clearable<Column extends ScalarColumn>(
	column: Column,
	readCell: (text: string, reader: RowReader) => Cell<NonNullable<ProductChange[Column]>>
): ScalarReader {
	return (reader, raw) => {
		const text = raw.trim();
		const value = text === '' ? null : reader.take(column, readCell(text, reader));
		(reader.change as Record<ScalarColumn, unknown>)[column] = value;
	};
}

/** A column whose empty cell is a value of its own. */
function defaulted<Column extends ScalarColumn>(
	column: Column,
	usual: (reader: RowReader) => Cell<NonNullable<ProductChange[Column]>>,
	readCell: (text: string) => Cell<NonNullable<ProductChange[Column]>>
): ScalarReader {
	return (reader, raw) => {
		const text = raw.trim();
		const value = reader.take(column, text === '' ? usual(reader) : readCell(text));
		if (value !== null) (reader.change as Record<ScalarColumn, unknown>)[column] = value;
	};
}

/** Long text, kept to the letter. */
function longText(column: 'summary' | 'description'): ScalarReader {
	return (reader, raw) => {
		reader.change[column] = reader.take(column, read.readText(raw, 200_000)) ?? '';
	};
}

const shortText = (text: string) => read.readText(text, 200);
const money = (text: string, reader: RowReader) => read.readMoney(text, reader.currency());
const good = <T>(value: T): Cell<T> => ({ ok: true, value });
const noTitle: Cell<string> = { ok: false, reason: 'is empty; a product needs a title' };

const SCALARS = new Map<string, ScalarReader>(
	Object.entries({
		key: defaulted('key', () => read.readKey(''), read.readKey),
		title: defaulted(
			'title',
			() => noTitle,
			(text) => read.readText(text, 500)
		),
		summary: longText('summary'),
		description: longText('description'),
		sku: clearable('sku', shortText),
		brand: clearable('brand', shortText),
		price: clearable('price', money),
		listPrice: clearable('listPrice', money),
		currency: defaulted('currency', (reader) => good(reader.usualCurrency), read.readCurrency),
		stock: clearable('stock', read.readWhole),
		sold30: clearable('sold30', read.readWhole),
		availability: clearable('availability', read.readAvailability),
		visible: defaulted('visible', () => good(true), read.readFlag),
		created: clearable('created', read.readInstant),
		url: clearable('url', read.readUrl)
	} satisfies Record<ScalarColumn, ScalarReader>)
);

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
