import { Bitset } from './bitset.js';

/** How many products lie between two kept sets of a sorted column. */
const STEP = 2048;

/**
 * A column of numbers or ISO dates, sorted, so that a comparison is a run of the order. The sets of every 2048th
 * prefix are kept: the set of a run is then two of them and at most two short walks, whatever the run's length.
 */
export class SortedColumn<T extends number | string> {
	private readonly order: Uint32Array;
	private readonly values: T[];
	private prefixes: Bitset[] | null = null;

	constructor(
		column: readonly (T | null)[],
		private readonly size: number
	) {
		const ids: number[] = [];
		column.forEach((value, id) => {
			if (value !== null) ids.push(id);
		});
		const at = (id: number) => column[id] as T;
		ids.sort((a, b) => (at(a) < at(b) ? -1 : at(a) > at(b) ? 1 : a - b));
		this.order = Uint32Array.from(ids);
		this.values = ids.map(at);
	}

	/**
	 * The products whose value lies from the first for which `from` holds to the last for which `beyond` does not.
	 * Both tests are monotone: once true for a value, true for all greater ones.
	 */
	between(from: (value: T) => boolean, beyond: (value: T) => boolean): Bitset {
		const start = this.firstWhere(from);
		const end = Math.max(start, this.firstWhere(beyond));
		const set = this.prefix(end);
		set.andNot(this.prefix(start));
		return set;
	}

	private firstWhere(test: (value: T) => boolean): number {
		let low = 0;
		let high = this.values.length;
		while (low < high) {
			const middle = (low + high) >>> 1;
			if (test(this.values[middle] as T)) high = middle;
			else low = middle + 1;
		}
		return low;
	}

	private prefix(length: number): Bitset {
		this.prefixes ??= this.keepPrefixes();
		const kept = Math.floor(length / STEP);
		const set = this.prefixes[kept]?.clone() ?? new Bitset(this.size);
		for (let i = kept * STEP; i < length; i++) set.add(this.order[i] ?? 0);
		return set;
	}

	private keepPrefixes(): Bitset[] {
		const prefixes: Bitset[] = [];
		const growing = new Bitset(this.size);
		for (let i = 0; i <= this.order.length; i++) {
			if (i % STEP === 0) prefixes.push(growing.clone());
			if (i < this.order.length) growing.add(this.order[i] ?? 0);
		}
		return prefixes;
	}
}
