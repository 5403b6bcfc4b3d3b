import { Problem } from '../problem.js';

/** Work that is under way: how far it is, and whether it was asked to stop. */
export class Job {
	rows = 0;
	bytes = 0;
	private cancelled = false;

	constructor(readonly totalBytes: number | null) {}

	cancel(): void {
		this.cancelled = true;
	}

	/** Throws once the job was cancelled; called between steps. */
	checkpoint(): void {
		if (this.cancelled) throw new Problem('cancelled', 409, 'The work was cancelled; nothing was changed.');
	}
}

const running = new Map<string, Job>();

/** Runs work as a job that can be watched and cancelled under its id for as long as it runs. */
export async function runJob<T>(
	id: string | null,
	totalBytes: number | null,
	work: (job: Job) => Promise<T>
): Promise<T> {
	const job = new Job(totalBytes);
	if (id === null) return work(job);
	if (running.has(id)) throw new Problem('exists', 409, 'A job with this id is already running.');
	running.set(id, job);
	try {
		return await work(job);
	} finally {
		running.delete(id);
	}
}

/** A running job of a store; its id is known only to who started it. */
export function jobById(id: string): Job {
	const job = running.get(id);
	if (!job) throw new Problem('not-found', 404, 'There is no such job; it may have ended.');
	return job;
}
