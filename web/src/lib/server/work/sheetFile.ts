import { attributeText, csvLine, CsvReader } from '@anbau/core/catalog';
import { Problem, readBy } from '../problem.js';
import type { Actor } from '../db/users.js';
import { storeStates } from '../state/storeStates.js';
import { CellReader, holdersOf, sheetQuerySchema, writeCells, type CellChange, type SheetOf } from './sheet.js';
import type { Rejection } from './catalogRows.js';

/** One cell that a file would change. */
export interface FileChange {
	line: number;
	key: string;
	code: string;
	from: string;
	to: string;
}

/** What a file of the sheet changes: the first changes and faults, and how many there are. */
export interface FileOutcome {
	dry: boolean;
	changes: FileChange[];
	changed: number;
	unchanged: number;
	rejected: Rejection[];
	rejectedTotal: number;
}

/** How many changes and faults are listed. */
const LISTED = 2000;

/** The sheet as a CSV file: key, title, and a column `attribute.<code>` for each attribute. */
export async function sheetCsv(actor: Actor, parameters: URLSearchParams): Promise<string> {
	const { of } = readBy(sheetQuerySchema.pick({ of: true }), { of: parameters.get('of') ?? undefined }, 'The query');
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const codes = catalog.definitions.filter((one) => one.of === of).map((one) => one.code);
	const lines = holdersOf(catalog, of).map(({ key, title, attributes }) =>
		csvLine([key, title, ...codes.map((code) => attributeText(attributes[code]))])
	);
	return [csvLine(['key', 'title', ...codes.map((code) => `attribute.${code}`)]), ...lines, ''].join('\r\n');
}

/** Takes a CSV file of the sheet, or says what it would change. An empty cell clears its value. */
export async function takeSheetFile(actor: Actor, of: SheetOf, text: string, dry: boolean): Promise<FileOutcome> {
	const { catalog } = await storeStates.byId(actor.storeId, Date.now());
	const reading = readFile(text, new CellReader(catalog, of));
	if (!dry) await writeCells(actor, of, reading.cells);
	return {
		dry,
		changes: reading.changes.slice(0, LISTED),
		changed: reading.changes.length,
		unchanged: reading.unchanged,
		rejected: reading.rejected.slice(0, LISTED),
		rejectedTotal: reading.rejected.length
	};
}

interface FileReading {
	cells: CellChange[];
	changes: FileChange[];
	unchanged: number;
	rejected: Rejection[];
}

function readFile(text: string, cells: CellReader): FileReading {
	const reader = new CsvReader();
	const [first, ...records] = [...reader.push(text), ...reader.end()];
	if (!first || first.fault) throw new Problem('invalid', 422, 'The file is empty; its first line names the columns.');
	const header = readHeader(first.cells);
	const reading: FileReading = { cells: [], changes: [], unchanged: 0, rejected: [] };
	for (const { line, cells: own, fault } of records) {
		if (fault) reading.rejected.push({ line, column: '', reason: fault });
		else if (own.length !== header.length) {
			reading.rejected.push({ line, column: '', reason: `has ${own.length} fields, the header has ${header.length}` });
		} else readRecord(line, own, header, cells, reading);
	}
	return reading;
}

/** The attribute's code of each column; null for the key and the title, of which only the key counts. */
function readHeader(names: readonly string[]): { name: string; code: string | null }[] {
	const header = names
		.map((name) => name.trim())
		.map((name) => ({ name, code: /^attribute\.([a-z][a-z0-9_]*)$/.exec(name)?.[1] ?? null }));
	const faults = header
		.filter(({ name, code }) => code === null && name !== 'key' && name !== 'title')
		.map(({ name }) => ({
			at: `line 1, column ${name}`,
			message: 'is not a column of the sheet: key, title, attribute.<code>'
		}));
	if (!header.some(({ name }) => name === 'key')) faults.push({ at: 'line 1, column key', message: 'is missing' });
	if (faults.length > 0)
		throw new Problem('invalid', 422, 'The first line does not name the columns of the sheet.', faults);
	return header;
}

function readRecord(
	line: number,
	own: readonly string[],
	header: ReturnType<typeof readHeader>,
	cells: CellReader,
	reading: FileReading
): void {
	const key = (own[header.findIndex(({ name }) => name === 'key')] ?? '').trim();
	for (const [i, { name, code }] of header.entries()) {
		if (code === null) continue;
		const cell = { key, code, value: own[i] ?? '' };
		const read = cells.read(cell);
		if (!read.ok) {
			reading.rejected.push({ line, column: name, reason: read.reason });
			continue;
		}
		const from = cells.text(key, code);
		const to = attributeText(read.value);
		if (from === to) reading.unchanged++;
		else {
			reading.changes.push({ line, key, code, from, to });
			reading.cells.push(cell);
		}
	}
}
