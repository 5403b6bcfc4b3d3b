/** A failure that the server explained: a plain sentence, and where it is wrong. */
export class RequestProblem extends Error {
	constructor(
		readonly status: number,
		readonly type: string,
		message: string,
		readonly faults: { at: string; message: string }[],
		readonly document: Record<string, unknown>
	) {
		super(message);
	}
}

interface Options {
	method?: 'GET' | 'PUT' | 'POST' | 'PATCH' | 'DELETE';
	body?: unknown;
	headers?: Record<string, string>;
	keepalive?: boolean;
	signal?: AbortSignal;
}

/** Asks the server and answers its JSON document; throws a `RequestProblem` when it refuses or is away. */
export async function request<T>(
	path: string,
	{ method = 'GET', body, headers = {}, keepalive = false, signal }: Options = {}
): Promise<T> {
	const init: RequestInit = { method, headers: { ...headers }, keepalive, ...(signal ? { signal } : {}) };
	if (body !== undefined) {
		init.body = JSON.stringify(body);
		init.headers = { ...headers, 'content-type': 'application/json' };
	}
	let response: Response;
	try {
		response = await fetch(path, init);
	} catch {
		throw new RequestProblem(0, 'away', 'Anbau cannot be reached; nothing was saved.', [], {});
	}
	if (!response.ok) throw await problemOf(response);
	return (response.status === 204 || response.status === 202 ? null : await response.json()) as T;
}

export async function problemOf(response: Response): Promise<RequestProblem> {
	const text = await response.text();
	let document: Record<string, unknown>;
	try {
		document = JSON.parse(text) as Record<string, unknown>;
	} catch {
		document = { title: text || `The server answered ${response.status}.` };
	}
	const faults = Array.isArray(document.faults) ? (document.faults as { at: string; message: string }[]) : [];
	return new RequestProblem(
		response.status,
		String(document.type ?? ''),
		String(document.title ?? ''),
		faults,
		document
	);
}

/** A failure as one plain sentence, the first place that is wrong with it. */
export function sentenceOf(error: unknown): string {
	if (!(error instanceof RequestProblem)) return error instanceof Error ? error.message : String(error);
	const [first] = error.faults;
	return first ? `${error.message} ${first.at} ${first.message}.` : error.message;
}
