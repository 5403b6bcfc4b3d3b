/** An input without what the server says of a document, so that one that was read can be sent back as it is. */
export function withoutSaid(input: unknown, said: readonly string[]): unknown {
	if (typeof input !== 'object' || input === null || Array.isArray(input)) return input;
	return Object.fromEntries(Object.entries(input).filter(([name]) => !said.includes(name)));
}
