import type { ImportResult } from '$lib/contracts.js';
import { problemOf, request, sentenceOf } from '$lib/desk/request.js';

/** An import that runs, ran, or failed. */
export type ImportState =
	| { step: 'choose' }
	| { step: 'running'; rows: number; share: number | null }
	| { step: 'done'; result: ImportResult }
	| { step: 'failed'; problem: string };

/** How often progress is asked for. */
const POLL = 300;

/** Sends a catalogue file to the server, watches how far it is, and can stop it. */
export class FileImport {
	state = $state.raw<ImportState>({ step: 'choose' });
	private job = '';

	async send(file: File, replace: boolean): Promise<void> {
		this.job = crypto.randomUUID();
		this.state = { step: 'running', rows: 0, share: 0 };
		const timer = setInterval(() => void this.watch(), POLL);
		const type = /\.(ndjson|jsonl)$/i.test(file.name) ? 'application/x-ndjson' : 'text/csv';
		try {
			const mode = replace ? 'replace' : 'upsert';
			const response = await fetch(`/api/v1/catalog?mode=${mode}&job=${this.job}`, {
				method: 'PUT',
				body: file,
				headers: { 'content-type': type }
			});
			if (!response.ok) throw await problemOf(response);
			this.state = { step: 'done', result: (await response.json()) as ImportResult };
		} catch (error) {
			this.state = {
				step: 'failed',
				problem:
					error instanceof TypeError
						? 'Anbau cannot be reached, or the file cannot be read; nothing was changed.'
						: sentenceOf(error)
			};
		} finally {
			clearInterval(timer);
		}
	}

	private async watch(): Promise<void> {
		try {
			const { rows, bytes, totalBytes } = await request<{ rows: number; bytes: number; totalBytes: number | null }>(
				`/api/v1/jobs/${this.job}`
			);
			if (this.state.step === 'running')
				this.state = { step: 'running', rows, share: totalBytes ? bytes / totalBytes : null };
		} catch {
			// The job has not begun or has just ended; the answer of the import itself says what became of it.
		}
	}

	/** Asks the server to stop; what was read so far is undone there. */
	async cancel(): Promise<void> {
		try {
			await request(`/api/v1/jobs/${this.job}`, { method: 'DELETE' });
		} catch (error) {
			if (this.state.step === 'running') this.state = { step: 'failed', problem: sentenceOf(error) };
		}
	}
}
