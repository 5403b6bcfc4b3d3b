import { Bitset } from './bitset.js';

/** For each term the ascending ids of the products that have it; terms are unique and sorted. */
export interface PackedPostings {
	terms: string[];
	ids: number[][];
}

/** Collects postings while products are read in ascending id order. */
export class PostingsBuilder {
	private readonly lists = new Map<string, number[]>();

	add(term: string, id: number): void {
		const list = this.lists.get(term);
		if (!list) this.lists.set(term, [id]);
		else if (list.at(-1) !== id) list.push(id);
	}

	pack(): PackedPostings {
		const terms = [...this.lists.keys()].sort(byCodeUnit);
		return { terms, ids: terms.map((term) => this.lists.get(term) ?? []) };
	}
}

function byCodeUnit(a: string, b: string): number {
	return a < b ? -1 : a > b ? 1 : 0;
}

/** Terms with the set of products that have each; a frequent term's set is kept as bits once asked for. */
export class Postings {
	private readonly position = new Map<string, number>();
	private readonly kept = new Map<number, Bitset>();

	constructor(
		private readonly packed: PackedPostings,
		private readonly size: number
	) {
		packed.terms.forEach((term, i) => this.position.set(term, i));
	}

	get terms(): readonly string[] {
		return this.packed.terms;
	}

	has(term: string): boolean {
		return this.position.has(term);
	}

	/** How many products have a term. */
	count(term: string): number {
		return this.ids(term).length;
	}

	/** The ids of the products that have a term, ascending. */
	ids(term: string): readonly number[] {
		const at = this.position.get(term);
		return (at === undefined ? undefined : this.packed.ids[at]) ?? [];
	}

	/** Adds the products that have a term to a set. */
	addTo(set: Bitset, term: string): void {
		const at = this.position.get(term);
		if (at !== undefined) this.addAt(set, at);
	}

	/** Adds the products that have any term with the prefix; the terms are a run of the sorted list. */
	addPrefixTo(set: Bitset, prefix: string): void {
		const { terms } = this.packed;
		for (let at = lowerBound(terms, prefix); at < terms.length && terms[at]?.startsWith(prefix); at++)
			this.addAt(set, at);
	}

	/** Adds the products that have any term for which the test holds. */
	addWhere(set: Bitset, test: (term: string) => boolean): void {
		this.packed.terms.forEach((term, at) => {
			if (test(term)) this.addAt(set, at);
		});
	}

	private addAt(set: Bitset, at: number): void {
		const ids = this.packed.ids[at] ?? [];
		if (ids.length * 32 < this.size) {
			for (const id of ids) set.add(id);
			return;
		}
		let bits = this.kept.get(at);
		if (!bits) this.kept.set(at, (bits = Bitset.of(this.size, ids)));
		set.or(bits);
	}
}

function lowerBound(terms: readonly string[], wanted: string): number {
	let low = 0;
	let high = terms.length;
	while (low < high) {
		const middle = (low + high) >>> 1;
		if ((terms[middle] ?? '') < wanted) low = middle + 1;
		else high = middle;
	}
	return low;
}
