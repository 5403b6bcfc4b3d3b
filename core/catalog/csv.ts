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
	private format: Format | null = null;
	/** Where the records that were taken end in the pending text. */
	private taken = 0;

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
		if (this.format === null) {
			if (this.pending.startsWith('\ufeff')) this.pending = this.pending.slice(1);
			this.format = detectFormat(this.pending, last);
			if (this.format === null) return [];
		}
		const { format } = this;
		const records: CsvRecord[] = [];
		this.parseWhole(format, records);
		for (let goesOn = true; goesOn && this.pending !== '';) goesOn = this.parse(format, last, records);
		return records;
	}

	/**
	 * Parses the complete records that are pending in one go, as nearly every file allows. Nothing is taken when any
	 * of them is faulty.
	 */
	private parseWhole(format: Format, records: CsvRecord[]): void {
		const end = lastRecordEnd(this.pending, format.newline);
		if (end === 0) return;
		const text = this.pending.slice(0, end);
		const { data, errors } = Papa.parse<string[]>(text, format);
		if (errors.length > 0) return;
		// The last line break begins a record of its own, which is empty.
		data.pop();
		const hasInnerBreaks = lineBreaks(text) !== data.length;
		for (const cells of data) this.take(cells, records, hasInnerBreaks);
		this.pending = this.pending.slice(end);
	}

	/**
	 * Parses what is pending, up to the last record when more may come. A faulty record is given up with its first
	 * line, and reading begins anew behind it: a stray quote takes no other line with it. Answers whether to go on.
	 */
	private parse(format: Format, last: boolean, records: CsvRecord[]): boolean {
		let end = 0;
		let held: string[] | null = null;
		let fault: string | null = null;
		// A carriage return at the end may be half of a line break.
		const text = !last && this.pending.endsWith('\r') ? this.pending.slice(0, -1) : this.pending;
		Papa.parse<string[]>(text, {
			...format,
			step: ({ data, errors, meta }, parser) => {
				// A record is taken once another follows it; the last one may not be complete.
				if (held) this.take(held, records);
				[held, fault] = [null, errors[0] ? (errors[0].code === 'MissingQuotes' ? UNCLOSED : MISPLACED) : null];
				if (fault) return parser.abort();
				[held, this.taken, end] = [data, end, meta.cursor];
			}
		});
		return this.settle(last, end, held, fault, records);
	}

	private settle(
		last: boolean,
		end: number,
		held: string[] | null,
		fault: string | null,
		records: CsvRecord[]
	): boolean {
		const rest = this.pending.length - end;
		// A fault is certain once its line is there, an unclosed quote once no record could be so long.
		const isOpen =
			fault !== null && !last && (fault === UNCLOSED ? rest <= MAX_RECORD : !/[\r\n]/.test(this.pending.slice(end)));
		if (fault && !isOpen) {
			records.push({ line: this.line, cells: [], fault });
			this.pending = this.pending.slice(end);
			this.skipLine();
			return true;
		}
		if (held && last) this.take(held, records);
		this.pending = last ? '' : this.pending.slice(held ? this.taken : end);
		return false;
	}

	private take(cells: string[], records: CsvRecord[], mayHaveBreaks = true): void {
		const isBlank = cells.length <= 1 && (cells[0] ?? '').trim() === '';
		if (!isBlank) records.push({ line: this.line, cells, fault: null });
		this.line++;
		if (!mayHaveBreaks) return;
		for (const cell of cells) if (cell.includes('\n') || cell.includes('\r')) this.line += lineBreaks(cell);
	}

	private skipLine(): void {
		const end = /\r\n|\n|\r/.exec(this.pending);
		this.pending = end ? this.pending.slice(end.index + end[0].length) : '';
		this.line++;
	}
}

/** Where the last record ends whose quotes are all closed before a line break; 0 when that cannot be told. */
function lastRecordEnd(text: string, newline: string): number {
	const end = text.lastIndexOf(newline) + newline.length;
	if (end < newline.length) return 0;
	let quotes = 0;
	for (let at = text.indexOf('"'); at >= 0 && at < end; at = text.indexOf('"', at + 1)) quotes++;
	return quotes % 2 === 0 ? end : 0;
}

function lineBreaks(text: string): number {
	return text.match(/\r\n|\n|\r/g)?.length ?? 0;
}

interface Format {
	delimiter: string;
	newline: '\r\n' | '\n' | '\r';
}

/** The separator and the line break of the first record; null while that record is not complete. */
function detectFormat(text: string, last: boolean): Format | null {
	const counts: Record<string, number> = { ',': 0, ';': 0, '\t': 0 };
	let quoted = false;
	let end = 0;
	for (; end < text.length; end++) {
		const char = text[end] ?? '';
		if (char === '"') quoted = !quoted;
		else if (!quoted && (char === '\n' || char === '\r')) break;
		else if (!quoted && char in counts) counts[char] = (counts[char] ?? 0) + 1;
	}
	const isComplete = end < text.length - 1 || text[end] === '\n';
	if (!isComplete && !last && text.length < MAX_RECORD) return null;
	const [delimiter] = Object.entries(counts).reduce((best, one) => (one[1] > best[1] ? one : best));
	return { delimiter, newline: text[end] === '\r' ? (text[end + 1] === '\n' ? '\r\n' : '\r') : '\n' };
}

/** Writes one record of CSV (RFC 4180), without its line break. */
export function csvLine(cells: readonly string[]): string {
	return Papa.unparse([cells as string[]], { newline: '\r\n' });
}
