/** A set of the whole numbers 0 to size − 1, one bit each. Sets that meet in an operation have the same size. */
export class Bitset {
	readonly words: Uint32Array;

	constructor(
		readonly size: number,
		words?: Uint32Array
	) {
		this.words = words ?? new Uint32Array((size + 31) >>> 5);
	}

	static full(size: number): Bitset {
		const set = new Bitset(size);
		set.words.fill(0xffffffff);
		set.trim();
		return set;
	}

	static of(size: number, members: Iterable<number>): Bitset {
		const set = new Bitset(size);
		for (const member of members) set.add(member);
		return set;
	}

	clone(): Bitset {
		return new Bitset(this.size, this.words.slice());
	}

	add(member: number): void {
		const word = member >>> 5;
		this.words[word] = (this.words[word] ?? 0) | (1 << (member & 31));
	}

	delete(member: number): void {
		const word = member >>> 5;
		this.words[word] = (this.words[word] ?? 0) & ~(1 << (member & 31));
	}

	has(member: number): boolean {
		return (((this.words[member >>> 5] ?? 0) >>> (member & 31)) & 1) === 1;
	}

	/** Keeps what is also in the other set. */
	and(other: Bitset): this {
		const { words } = this;
		for (let i = 0; i < words.length; i++) words[i] = (words[i] ?? 0) & (other.words[i] ?? 0);
		return this;
	}

	/** Takes in the other set. */
	or(other: Bitset): this {
		const { words } = this;
		for (let i = 0; i < words.length; i++) words[i] = (words[i] ?? 0) | (other.words[i] ?? 0);
		return this;
	}

	/** Removes the other set. */
	andNot(other: Bitset): this {
		const { words } = this;
		for (let i = 0; i < words.length; i++) words[i] = (words[i] ?? 0) & ~(other.words[i] ?? 0);
		return this;
	}

	/** Turns into the set of what was not in it. */
	not(): this {
		const { words } = this;
		for (let i = 0; i < words.length; i++) words[i] = ~(words[i] ?? 0);
		this.trim();
		return this;
	}

	/** How many members there are. Population count as in Warren, Hacker's Delight (2nd ed.), 5-1. */
	count(): number {
		let total = 0;
		for (let i = 0; i < this.words.length; i++) {
			let word = this.words[i] ?? 0;
			word -= (word >>> 1) & 0x55555555;
			word = (word & 0x33333333) + ((word >>> 2) & 0x33333333);
			total += (((word + (word >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
		}
		return total;
	}

	/** The members in ascending order. */
	*[Symbol.iterator](): Generator<number> {
		for (let i = 0; i < this.words.length; i++) {
			let word = this.words[i] ?? 0;
			while (word !== 0) {
				yield (i << 5) + 31 - Math.clz32(word & -word);
				word &= word - 1;
			}
		}
	}

	private trim(): void {
		const rest = this.size & 31;
		const last = this.words.length - 1;
		if (rest !== 0) this.words[last] = (this.words[last] ?? 0) & ((1 << rest) - 1);
	}
}
