import type { Answer, Answered, Ask, QuestionName } from './protocol.js';

/** Asks the catalogue's index, which lives in a web worker so that no screen waits for it. */
class CatalogIndexClient {
	private worker: Worker | null = null;
	private readonly open = new Map<number, { resolve: (answer: never) => void; reject: (error: Error) => void }>();
	private last = 0;

	ask<Name extends QuestionName>(name: Name, ask: Ask<Name>): Promise<Answer<Name>> {
		const worker = this.start();
		const id = ++this.last;
		return new Promise<Answer<Name>>((resolve, reject) => {
			this.open.set(id, { resolve, reject });
			worker.postMessage({ id, name, ask });
		});
	}

	private start(): Worker {
		if (this.worker) return this.worker;
		const worker = new Worker(new URL('./reach.worker.ts', import.meta.url), { type: 'module' });
		worker.onmessage = ({ data }: MessageEvent<Answered>) => {
			const waiting = this.open.get(data.id);
			this.open.delete(data.id);
			if (data.ok) waiting?.resolve(data.answer as never);
			else waiting?.reject(new Error(data.message));
		};
		this.worker = worker;
		return worker;
	}
}

export const catalogIndex = new CatalogIndexClient();
