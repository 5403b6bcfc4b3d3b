/** How many answers are remembered. */
const LIMIT = 20_000;

/** Remembers the answers of a pure function of a text, for texts that come again and again; full, it begins anew. */
export function memo<T>(answer: (text: string) => T): (text: string) => T {
	const known = new Map<string, T>();
	return (text) => {
		let found = known.get(text);
		if (found === undefined) {
			if (known.size >= LIMIT) known.clear();
			known.set(text, (found = answer(text)));
		}
		return found;
	};
}
