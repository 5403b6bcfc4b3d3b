/** A request that a screen made of the server. */
export interface Asked {
	method: string;
	path: string;
	body: unknown;
}

/** Answers what screens ask of the server, and keeps what they asked; answers what puts the real `fetch` back. */
export function answerRequests(answer: (asked: Asked) => { status?: number; body: unknown }): {
	asked: Asked[];
	restore: () => void;
} {
	const real = globalThis.fetch;
	const asked: Asked[] = [];
	globalThis.fetch = (input, init) => {
		const body: unknown = typeof init?.body === 'string' ? JSON.parse(init.body) : undefined;
		const one = { method: init?.method ?? 'GET', path: String(input), body };
		asked.push(one);
		const { status = 200, body: answered } = answer(one);
		return Promise.resolve(Response.json(answered, { status }));
	};
	return { asked, restore: () => void (globalThis.fetch = real) };
}
