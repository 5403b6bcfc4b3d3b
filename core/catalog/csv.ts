import Papa from 'papaparse';

/** A record of a CSV text. `line` is where it begins, counted from 1 over the whole text, line breaks in quotes too. */
export interface CsvRecord {
	line: number;
	cells: string[];
	/** Why the record cannot be read; its cells are then not to be used. */
	fault: string | null;
}

/** The longest record, in characters; a longer one has a quote that does not close. */
const MAX_RECORD = 1 << 20;

const UNCLOSED = 'opens a quote that is never closed';
const MISPLACED = 'has a quote in the wrong place; a quote inside a quoted field is written twice';

/**
 * Reads CSV (RFC 4180) that arrives in pieces. The separator is the comma, semicolon or tab that stands most often
 * in the first record; a byte order mark is skipped. A record that cannot be read is reported in its place and the
 * next line is read on.
 */
export class CsvReader {
	private pending = '';
	private line = 1;
	private delimiter: string | null = null;

	/** Takes the next piece and answers the records that are complete. */
	push(piece: string): CsvRecord[] {
		this.pending += piece;
		return this.read(false);
	}

	/** Answers what is left at the end of the text. */
	end(): CsvRecord[] {
		return this.read(true);
	}

	private read(last: boolean): CsvRecord[] {
		if (this.delimiter === null) {
			if (this.pending.startsWith('\ufeff')) this.pending = this.pending.slice(1);
			this.delimiter = detectDelimiter(this.pending, last);
			if (this.delimiter === null) return [];
		}
		const records: CsvRecord[] = [];
		while (this.pending !== '') {
			const { rows, unclosed } = this.parse(this.delimiter, last);
			for (const row of rows) this.take(row, records);
			if (!unclosed) break;
			records.push({ line: this.line, cells: [], fault: UNCLOSED });
			this.skipLine();
		}
		return records;
	}

	/** Parses what is pending, up to the last record when more may come, and keeps the rest pending. */
	private parse(delimiter: string, last: boolean): { rows: ParsedRow[]; unclosed: boolean } {
		const rows: ParsedRow[] = [];
		Papa.parse<string[]>(this.pending, {
			delimiter,
			step: ({ data, errors, meta }) => rows.push({ cells: data, end: meta.cursor, code: errors[0]?.code })
		});
		const tail = rows.at(-1);
		if (!tail || (last && tail.code !== 'MissingQuotes')) {
			this.pending = '';
			return { rows, unclosed: false };
		}
		rows.pop();
		this.pending = this.pending.slice(rows.at(-1)?.end ?? 0);
		const unclosed = tail.code === 'MissingQuotes' && (last || this.pending.length > MAX_RECORD);
		return { rows, unclosed };
	}

	private take({ cells, code }: ParsedRow, records: CsvRecord[]): void {
		const fault = code === undefined ? null : code === 'MissingQuotes' ? UNCLOSED : MISPLACED;
		const blank = cells.length <= 1 && (cells[0] ?? '').trim() === '';
		if (!blank || fault) records.push({ line: this.line, cells, fault });
		this.line++;
		for (const cell of cells) if (cell.includes('\n') || cell.includes('\r')) this.line += lineBreaks(cell);
	}

	private skipLine(): void {
		const end = /\r\n|\n|\r/.exec(this.pending);
		this.pending = end ? this.pending.slice(end.index + end[0].length) : '';
		this.line++;
	}
}

interface ParsedRow {
	cells: string[];
	/** Where the record ends in the parsed text. */
	end: number;
	code: string | undefined;
}

function lineBreaks(text: string): number {
	return text.match(/\r\n|\n|\r/g)?.length ?? 0;
}

/** The separator of the first record; null while that record is not complete. */
function detectDelimiter(text: string, last: boolean): string | null {
	const counts = new Map([
		[',', 0],
		[';', 0],
		['\t', 0]
	]);
	let quoted = false;
	let complete = last;
	for (const char of text) {
		if (char === '"') quoted = !quoted;
		else if (!quoted && (char === '\n' || char === '\r')) {
			complete = true;
			break;
		} else if (!quoted && counts.has(char)) counts.set(char, (counts.get(char) ?? 0) + 1);
	}
	if (!complete && text.length < MAX_RECORD) return null;
	return [...counts].reduce((best, one) => (one[1] > best[1] ? one : best))[0];
}

/** Writes one record of CSV (RFC 4180), without its line break. */
export function csvLine(cells: readonly string[]): string {
	return Papa.unparse([cells as string[]], { newline: '\r\n' });
}
