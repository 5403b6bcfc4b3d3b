import { createHash } from 'node:crypto';
import { CsvReader } from '@anbau/core/catalog';
import {
	lackingColumns,
	matchColumns,
	readReview,
	REVIEW_COLUMNS,
	type ColumnMatch,
	type Review,
	type ReviewColumn,
	type ReviewRow,
	type ReviewRowContext
} from '@anbau/core/reviews';
import { Problem } from '../problem.js';
import { unstorable } from '../requestBody.js';
import type { Rejection } from './catalogRows.js';

/** A review as a row brought it, and where. */
export interface ReadRow {
	line: number;
	review: Review;
}

/** Turns a file of reviews, arriving as text in pieces, into reviews and rejections. */
export class ReviewRows {
	readonly rejected: Rejection[] = [];
	/** The file's own columns, and which of ours each is; null before the header was read, and for NDJSON. */
	header: string[] | null = null;
	match: ColumnMatch = [];
	private readonly csv: CsvReader | null;
	private pending = '';
	private line = 0;
	private readonly lineOf = new Map<string, number>();

	constructor(
		format: 'csv' | 'ndjson',
		private readonly context: Omit<ReviewRowContext, 'idOf'>,
		/** Which column is which, where someone has said so. */
		private readonly chosen: ColumnMatch | null
	) {
		this.csv = format === 'csv' ? new CsvReader() : null;
	}

	push(piece: string): ReadRow[] {
		return this.csv ? this.records(this.csv.push(piece)) : this.lines(piece);
	}

	end(): ReadRow[] {
		if (!this.csv) return this.lines('\n');
		const rows = this.records(this.csv.end());
		if (!this.header) throw new Problem('invalid', 422, 'The file is empty; its first line names the columns.');
		return rows;
	}

	private records(records: ReturnType<CsvReader['push']>): ReadRow[] {
		return records.flatMap(({ line, cells, fault }) => {
			if (fault !== null) return this.reject(line, '', fault);
			if (!this.header) {
				this.readHeader(cells);
				return [];
			}
			const row: ReviewRow = {};
			for (const [i, column] of this.match.entries()) if (column) row[column] = cells[i] ?? '';
			return this.read(line, row);
		});
	}

	private readHeader(cells: string[]): void {
		this.header = cells;
		this.match = this.chosen ?? matchColumns(cells);
		const lacking = lackingColumns(this.match);
		if (lacking.length === 0) return;
		const faults = lacking.map((column) => ({ at: `line 1, ${column}`, message: 'is in no column of the file' }));
		throw new Problem('columns', 422, `No column is matched to ${lacking.join(', ')}.`, faults, {
			header: this.header,
			match: this.match
		});
	}

	private lines(piece: string): ReadRow[] {
		const lines = (this.pending + piece).split('\n');
		this.pending = lines.pop() ?? '';
		return lines.flatMap((text) => {
			this.line++;
			return text.trim() === '' ? [] : this.object(text);
		});
	}

	private object(text: string): ReadRow[] {
		let value: unknown;
		try {
			value = JSON.parse(text);
		} catch {
			return this.reject(this.line, '', 'is not JSON');
		}
		if (typeof value !== 'object' || value === null || Array.isArray(value))
			return this.reject(this.line, '', 'is not a JSON object');
		const unknown = Object.keys(value).find((name) => !REVIEW_COLUMNS.includes(name as ReviewColumn));
		if (unknown !== undefined)
			return this.reject(this.line, unknown, `is not a key; the keys are ${REVIEW_COLUMNS.join(', ')}`);
		return this.read(this.line, value);
	}

	private read(line: number, row: ReviewRow): ReadRow[] {
		const at = unstorable(row);
		if (at !== null) return this.reject(line, at.slice(1), 'contains a character that cannot be stored');
		const reading = readReview(row, { ...this.context, idOf });
		if (!reading.ok) return reading.faults.flatMap(({ column, reason }) => this.reject(line, column, reason));
		const earlier = this.lineOf.get(reading.review.id);
		if (earlier !== undefined)
			return this.reject(line, 'id', `“${reading.review.id}” stands already in line ${earlier}`);
		this.lineOf.set(reading.review.id, line);
		return [{ line, review: reading.review }];
	}

	private reject(line: number, column: string, reason: string): [] {
		this.rejected.push({ line, column, reason });
		return [];
	}
}

/** A review that brings no id is told by what it says, so that the same file twice brings it once. */
export function idOf({ product, author, date, title, text }: Omit<Review, 'id'>): string {
	const said = JSON.stringify([product, author, date.slice(0, 10), title, text]);
	return `r-${createHash('sha256').update(said).digest('hex').slice(0, 20)}`;
}
