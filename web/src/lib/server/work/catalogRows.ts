import {
	CsvReader,
	headerFaults,
	readRow,
	rowsReader,
	type Category,
	type ProductChange,
	type RawRow,
	type RowContext,
	type RowReading
} from '@anbau/core/catalog';
import { Problem } from '../problem.js';
import { unstorable } from '../requestBody.js';

/** A row or cell that could not be taken. `line` counts from 1 in the file; `column` is empty for a whole row. */
export interface Rejection {
	line: number;
	column: string;
	reason: string;
}

/** Turns the text of a catalogue file, arriving in pieces, into changes and rejections. */
export abstract class CatalogRows {
	readonly categories = new Map<string, Category>();
	readonly rejected: Rejection[] = [];
	private readonly lineOf = new Map<string, number>();
	protected readonly context: RowContext;

	constructor(currency: string, attribute: RowContext['attribute'] = () => undefined) {
		this.context = {
			currency,
			attribute,
			onCategories: (path) => {
				for (const category of path) this.categories.set(category.key, category);
			}
		};
	}

	abstract push(piece: string): ProductChange[];
	abstract end(): ProductChange[];

	protected reject(line: number, column: string, reason: string): void {
		this.rejected.push({ line, column, reason });
	}

	/** Takes one row as read; a key that an earlier row had is refused, so that no row silently undoes another. */
	protected takeRow(line: number, reading: RowReading, into: ProductChange[]): void {
		if (!reading.ok) {
			for (const { column, reason } of reading.faults) this.reject(line, column, reason);
			return;
		}
		const { key } = reading.change;
		const earlier = this.lineOf.get(key);
		if (earlier !== undefined) return this.reject(line, 'key', `“${key}” stands already in line ${earlier}`);
		this.lineOf.set(key, line);
		into.push(reading.change);
	}
}

export class CsvCatalogRows extends CatalogRows {
	private readonly reader = new CsvReader();
	private columns = 0;
	private readCells: ReturnType<typeof rowsReader> | null = null;

	push(piece: string): ProductChange[] {
		return this.take(this.reader.push(piece));
	}

	end(): ProductChange[] {
		const changes = this.take(this.reader.end());
		if (!this.readCells) throw new Problem('invalid', 422, 'The file is empty; its first line names the columns.');
		return changes;
	}

	private take(records: ReturnType<CsvReader['push']>): ProductChange[] {
		const changes: ProductChange[] = [];
		for (const { line, cells, fault } of records) {
			if (!this.readCells) {
				const header = readHeader(line, cells, fault);
				this.columns = header.length;
				this.readCells = rowsReader(header, this.context);
			} else if (fault) this.reject(line, '', fault);
			else if (cells.length !== this.columns) {
				this.reject(line, '', `has ${cells.length} fields, the header has ${this.columns}`);
			} else this.takeRow(line, this.readCells(cells), changes);
		}
		return changes;
	}
}

function readHeader(line: number, cells: string[], fault: string | null): string[] {
	if (fault)
		throw new Problem('invalid', 422, 'The first line cannot be read.', [{ at: `line ${line}`, message: fault }]);
	const header = cells.map((cell) => cell.trim());
	const faults = headerFaults(header);
	if (faults.length === 0) return header;
	const listed = faults.map(({ column, reason }) => ({ at: `line ${line}, column ${column}`, message: reason }));
	throw new Problem('invalid', 422, 'The first line does not name the columns of a catalogue.', listed);
}

/** The longest line of NDJSON, in characters. */
const MAX_LINE = 1 << 20;

export class NdjsonCatalogRows extends CatalogRows {
	private pending = '';
	private line = 1;

	push(piece: string): ProductChange[] {
		const lines = (this.pending + piece).split('\n');
		this.pending = lines.pop() ?? '';
		if (this.pending.length > MAX_LINE) {
			throw new Problem('invalid', 422, 'A line is too long.', [
				{ at: `line ${this.line + lines.length}`, message: `has more than ${MAX_LINE} characters` }
			]);
		}
		return this.take(lines);
	}

	end(): ProductChange[] {
		return this.pending === '' ? [] : this.take([this.pending]);
	}

	private take(lines: string[]): ProductChange[] {
		const changes: ProductChange[] = [];
		for (const text of lines) {
			const line = this.line++;
			const bare = text.replace(/^\ufeff/, '').trim();
			if (bare === '') continue;
			const row = parseObject(bare);
			if (typeof row === 'string') this.reject(line, '', row);
			else this.takeRow(line, readRow(row, this.context), changes);
		}
		return changes;
	}
}

function parseObject(text: string): RawRow | string {
	try {
		const value: unknown = JSON.parse(text);
		const at = unstorable(value);
		if (at !== null) return `contains a NUL character or half of a character at ${at}`;
		if (typeof value === 'object' && value !== null && !Array.isArray(value)) return value as RawRow;
		return 'is not a JSON object';
	} catch (error) {
		return `is not JSON: ${error instanceof Error ? error.message : String(error)}`;
	}
}
