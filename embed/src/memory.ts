/** What this browser remembers of the shop, by name. One that lets nothing be stored remembers nothing. */
export interface Memory {
	recall<Value>(name: string, nothing: Value): Value;
	keep(name: string, value: unknown): void;
}

export const memory: Memory = {
	recall: <Value>(name: string, nothing: Value) => {
		try {
			return JSON.parse(localStorage[`anbau-${name}`]) as Value;
		} catch {
			// Nothing was stored, or nothing can be.
			return nothing;
		}
	},
	keep: (name, value) => {
		try {
			localStorage[`anbau-${name}`] = JSON.stringify(value);
		} catch {
			// It holds for this page at least.
		}
	}
};
