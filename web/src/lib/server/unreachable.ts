/** Whether an error says that the database cannot be reached, as against one about a statement. */
export function isUnreachable(error: unknown): boolean {
	if (!(error instanceof Error)) return false;
	if (error instanceof AggregateError) return error.errors.some(isUnreachable);
	const code = 'code' in error ? String(error.code) : '';
	return (
		/^(ECONN|EPIPE|ETIMEDOUT|57P0|08)/.test(code) ||
		/Connection terminated|timeout exceeded when trying to connect/.test(error.message)
	);
}
