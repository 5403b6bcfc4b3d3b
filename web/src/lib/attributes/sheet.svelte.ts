import type { SheetAnswer, SheetOf, SheetRow } from '$lib/contracts.js';
import { request, sentenceOf } from '$lib/desk/request.js';

/** A row as the grid has it: its values by code, beside them what begins with $. */
export interface GridRow {
	$key: string;
	$title: string;
	$outside: ReadonlySet<string>;
	[code: string]: unknown;
}

/** A cell to be changed to a text. */
export interface CellEdit {
	row: GridRow;
	code: string;
	text: string;
}

/** A cell whose text was not saved, and why. */
export interface CellFault {
	row: GridRow;
	code: string;
	text: string;
	reason: string;
}

export interface SheetQuery {
	of: SheetOf;
	q: string;
	category: string;
	missing: string;
}

/** How many rows come at a time, and how many cells go. */
const PAGE = 10_000;
const MOST_CELLS = 10_000;

type Step = { before: CellEdit[]; after: CellEdit[] };

/** The sheet: rows with their values as texts, saved as they are typed, with undo and redo. */
export class Sheet {
	rows = $state.raw<GridRow[]>([]);
	total = $state(0);
	loading = $state(false);
	saving = $state(0);
	problem = $state('');
	faults = $state.raw<readonly CellFault[]>([]);
	canUndo = $state(false);
	canRedo = $state(false);
	/** Counts what was saved, so that others can follow. */
	saves = $state(0);
	private past: Step[] = [];
	private future: Step[] = [];
	private of: SheetOf = 'product';
	private reading: AbortController | null = null;
	private queue: Promise<void> = Promise.resolve();

	constructor(private readonly redraw: () => void) {}

	/** Reads the rows of a query, page by page; a later query stops an earlier one. */
	async load({ of, q, category, missing }: SheetQuery): Promise<void> {
		this.reading?.abort();
		const reading = (this.reading = new AbortController());
		const query = new URLSearchParams({ of, limit: String(PAGE) });
		if (q !== '') query.set('q', q);
		if (category !== '') query.set('category', category);
		if (missing !== '') query.set('missing', missing);
		this.loading = true;
		this.problem = '';
		try {
			const rows: GridRow[] = [];
			for (let total = 1; rows.length < total;) {
				query.set('offset', String(rows.length));
				const page = await request<{ total: number; rows: SheetRow[] }>(`/api/v1/sheet?${query.toString()}`, {
					signal: reading.signal
				});
				total = page.total;
				rows.push(...page.rows.map(gridRow));
				if (reading.signal.aborted) return;
				this.show(of, [...rows], total);
				if (page.rows.length === 0) break;
			}
		} catch (error) {
			if (!reading.signal.aborted) this.problem = sentenceOf(error);
		} finally {
			if (this.reading === reading) this.loading = false;
		}
	}

	private show(of: SheetOf, rows: GridRow[], total: number): void {
		this.of = of;
		this.rows = rows;
		this.total = total;
		this.faults = [];
		this.past = [];
		this.future = [];
		this.canUndo = this.canRedo = false;
	}

	/** Stops reading; what has come stays. */
	stop(): void {
		this.reading?.abort();
		this.loading = false;
	}

	/** Changes cells as one step of undo; cells to which their attribute does not apply are passed over. */
	change(edits: readonly CellEdit[]): void {
		const after = edits.filter(({ row, code, text }) => !row.$outside.has(code) && textIn(row, code) !== text);
		if (after.length === 0) return;
		const before = after.map(({ row, code }) => ({ row, code, text: textIn(row, code) }));
		this.past.push({ before, after: [...after] });
		this.future = [];
		this.apply(after);
	}

	undo(): void {
		const step = this.past.pop();
		if (!step) return;
		this.future.push(step);
		this.apply(step.before);
	}

	redo(): void {
		const step = this.future.pop();
		if (!step) return;
		this.past.push(step);
		this.apply(step.after);
	}

	/** Why a cell is not saved; undefined when it is. */
	faultOf(row: GridRow, code: string): CellFault | undefined {
		return this.faults.find((fault) => fault.row === row && fault.code === code);
	}

	private apply(edits: readonly CellEdit[]): void {
		for (const { row, code, text } of edits) row[code] = text;
		this.canUndo = this.past.length > 0;
		this.canRedo = this.future.length > 0;
		this.redraw();
		this.saving++;
		this.queue = this.queue.then(() => this.save(edits)).finally(() => this.saving--);
	}

	private async save(edits: readonly CellEdit[]): Promise<void> {
		const touched = (fault: CellFault) => edits.some(({ row, code }) => row === fault.row && code === fault.code);
		const faults = this.faults.filter((fault) => !touched(fault));
		for (let i = 0; i < edits.length; i += MOST_CELLS) {
			const part = edits.slice(i, i + MOST_CELLS);
			const changes = part.map(({ row, code, text }) => ({ key: row.$key, code, value: text }));
			try {
				const body = { of: this.of, changes };
				const { rejected } = await request<SheetAnswer>('/api/v1/sheet', { method: 'PATCH', body });
				for (const { at, reason } of rejected) {
					const edit = part[Number(at.split('/')[2])];
					if (edit) faults.push({ ...edit, reason });
				}
				this.problem = '';
			} catch (error) {
				this.problem = sentenceOf(error);
				faults.push(...part.map((edit) => ({ ...edit, reason: 'was not saved' })));
			}
		}
		this.faults = faults;
		this.saves++;
		this.redraw();
	}
}

function gridRow({ key, title, values, outside }: SheetRow): GridRow {
	return { ...values, $key: key, $title: title, $outside: new Set(outside) };
}

export function textIn(row: GridRow, code: string): string {
	const value = row[code];
	return typeof value === 'string' ? value : '';
}
