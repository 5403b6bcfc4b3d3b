/** One line of the results: a time against a reference's in the same run. */
export interface Result {
	what: string;
	/** Ours and the reference's, in milliseconds, bytes or frames. */
	ours: number;
	reference: number | null;
	unit: 'ms' | 'bytes' | 'frames' | 'MB';
	ratio: number | null;
	/** What the ratio or the figure is meant to keep, and whether it does. */
	goal: string;
	kept: boolean | null;
}

/** The median time of some runs, in milliseconds. */
export function time(runs: number, work: () => unknown): number {
	const times = Array.from({ length: runs }, () => {
		const began = performance.now();
		work();
		return performance.now() - began;
	});
	return median(times);
}

/** The median time of some runs of asynchronous work, in milliseconds. */
export async function timeAsync(runs: number, work: () => Promise<unknown>): Promise<number> {
	const times: number[] = [];
	for (let i = 0; i < runs; i++) {
		const began = performance.now();
		await work();
		times.push(performance.now() - began);
	}
	return median(times);
}

/** The middle of some figures. */
export function median(times: number[]): number {
	const sorted = [...times].sort((a, b) => a - b);
	return sorted[Math.floor(sorted.length / 2)] ?? 0;
}

/** How many times faster we are than a reference; at least `goal` times is wanted. */
export function faster(what: string, ours: number, reference: number, goal: number): Result {
	const ratio = reference / ours;
	return { what, ours, reference, unit: 'ms', ratio, goal: `at least ${goal} × faster`, kept: ratio >= goal };
}

/** How many times as long we take as a reference; at most `goal` times is wanted, null for no goal. */
export function slower(what: string, ours: number, reference: number, goal: number | null): Result {
	const ratio = ours / reference;
	return {
		what,
		ours,
		reference,
		unit: 'ms',
		ratio,
		goal: goal === null ? '—' : `at most ${goal} ×`,
		kept: goal === null ? null : ratio <= goal
	};
}
