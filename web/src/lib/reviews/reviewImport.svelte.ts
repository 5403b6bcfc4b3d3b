import type { ColumnMatch } from '@anbau/core/reviews';
import type { ReviewImport } from '$lib/contracts.js';
import { problemOf, request, RequestProblem, sentenceOf } from '$lib/desk/request.js';

/** A file of reviews on its way in: matched and tried without changing anything, then taken. */
export class ReviewFileImport {
	step = $state<'choose' | 'trying' | 'match' | 'taking' | 'done'>('choose');
	problem = $state('');
	/** The file's own columns; empty for NDJSON. */
	header = $state.raw<string[]>([]);
	match = $state.raw<ColumnMatch>([]);
	/** What the file would do; null while that is not known. */
	outcome = $state.raw<ReviewImport | null>(null);
	rows = $state(0);
	private file: File | null = null;
	private job = '';

	async choose(file: File): Promise<void> {
		this.file = file;
		await this.attempt(null);
	}

	/** Tries the file as matched by name, or as someone says. */
	async attempt(match: ColumnMatch | null): Promise<void> {
		this.step = 'trying';
		this.problem = '';
		try {
			this.outcome = await this.send(true, match);
			this.header = this.outcome.header ?? [];
			this.match = this.outcome.match;
		} catch (error) {
			this.outcome = null;
			this.problem = sentenceOf(error);
			const { header, match: taken } = error instanceof RequestProblem ? error.document : {};
			if (!Array.isArray(header) || !Array.isArray(taken)) return void (this.step = 'choose');
			this.header = header as string[];
			this.match = taken as ColumnMatch;
		}
		this.step = 'match';
	}

	async take(): Promise<boolean> {
		this.step = 'taking';
		const timer = setInterval(() => void this.watch(), 300);
		try {
			this.outcome = await this.send(false, this.header.length > 0 ? this.match : null);
			this.step = 'done';
			return true;
		} catch (error) {
			this.problem = sentenceOf(error);
			this.step = 'match';
			return false;
		} finally {
			clearInterval(timer);
		}
	}

	async cancel(): Promise<void> {
		// One that has just ended cannot be cancelled; its own answer says so.
		await request(`/api/v1/jobs/${this.job}`, { method: 'DELETE' }).catch(() => undefined);
	}

	private async watch(): Promise<void> {
		const known = await request<{ rows: number }>(`/api/v1/jobs/${this.job}`).catch(() => null);
		if (known) this.rows = known.rows;
	}

	private async send(dry: boolean, match: ColumnMatch | null): Promise<ReviewImport> {
		const { file } = this;
		if (!file) throw new Error('No file is chosen.');
		this.job = crypto.randomUUID();
		const query = new URLSearchParams({ job: this.job, ...(dry ? { dry: '1' } : {}) });
		if (match) query.set('columns', match.map((column) => column ?? '').join(','));
		const type = /\.(ndjson|jsonl)$/i.test(file.name) ? 'application/x-ndjson' : 'text/csv';
		const response = await fetch(`/api/v1/reviews?${query}`, {
			method: 'PUT',
			body: file,
			headers: { 'content-type': type }
		});
		if (!response.ok) throw await problemOf(response);
		return (await response.json()) as ReviewImport;
	}
}
